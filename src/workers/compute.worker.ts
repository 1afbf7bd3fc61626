import { answer } from './answer';

self.addEventListener('message', (event: MessageEvent<unknown>) => {
  const message = answer(event.data);
  if (message) self.postMessage(message);
});
