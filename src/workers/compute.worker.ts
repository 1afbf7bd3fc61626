import { answer, internalFailure } from './answer';
import { isCancelRequest, isTraceRequest, type TraceRequest, type WorkerMessage } from './protocol';
import { Stopped, TraceRefused, tracePhoto } from './tracePhoto';

const stopped = new Set<number>();
const post = (message: WorkerMessage) => self.postMessage(message);

async function trace({ id, ask }: TraceRequest): Promise<void> {
  try {
    const result = await tracePhoto(ask, {
      onProgress: (share) => post({ type: 'progress', id, share }),
      isStopped: () => stopped.has(id),
    });
    post({ type: 'result', id, result });
  } catch (error) {
    if (error instanceof Stopped) return;
    if (error instanceof TraceRefused) post({ type: 'failure', id, faults: error.faults });
    else post(internalFailure(id, error));
  } finally {
    stopped.delete(id);
  }
}

self.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
  if (isCancelRequest(data)) stopped.add(data.id);
  else if (isTraceRequest(data)) void trace(data);
  else {
    const message = answer(data);
    if (message) post(message);
  }
});
