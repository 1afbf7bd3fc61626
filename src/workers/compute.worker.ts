import { createJobServer } from './jobServer';

const serve = createJobServer((message, transfer) => self.postMessage(message, { transfer }));
self.addEventListener('message', ({ data }: MessageEvent<unknown>) => void serve(data));
