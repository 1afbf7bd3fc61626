import { Refused, Stopped, type Job, type Tell } from './job';
import { jobOf } from './jobs';
import { isCancelRequest, isJobRequest, type WorkerMessage } from './protocol';

/** The memory of every typed array in what is sent: it goes over instead of being copied. */
function buffersOf(value: unknown, found = new Set<ArrayBuffer>()): Set<ArrayBuffer> {
  if (ArrayBuffer.isView(value)) {
    // Memory that threads share stays where it is.
    if (Object.prototype.toString.call(value.buffer) === '[object ArrayBuffer]')
      found.add(value.buffer as ArrayBuffer);
  } else if (Array.isArray(value)) {
    // A list of numbers holds none; one of objects is as long as what it describes.
    if (typeof value[0] === 'object') for (const item of value) buffersOf(item, found);
  } else if (typeof value === 'object' && value !== null) {
    for (const item of Object.values(value)) buffersOf(item, found);
  }
  return found;
}

/** Lets messages in, so that a cancel is heard. */
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));

/** Between two words on how far it is, ms: each has a screen drawn anew. */
const TELL_MS = 250;

/** Passes on what was not told a moment ago, and the end. */
function seldom(tell: Tell): Tell {
  let last = 0;
  return (share) => {
    if (share < 1 && Date.now() - last < TELL_MS) return;
    last = Date.now();
    tell(share);
  };
}

/**
 * The end of the protocol that works: each message that is a job is done and answered once; one that was
 * cancelled is not answered at all; what is no request is passed over.
 * @param post sends an answer, and hands over the memory that it names @param jobs how a job is done, by its name
 */
export function createJobServer(
  post: (message: WorkerMessage, transfer: ArrayBuffer[]) => void,
  jobs: (name: string) => Job = jobOf,
): (data: unknown) => Promise<void> {
  /** Jobs under way, and whether somebody waits for them. */
  const underWay = new Map<number, { wanted: boolean }>();
  return async (data) => {
    if (isCancelRequest(data)) {
      const job = underWay.get(data.id);
      if (job) job.wanted = false;
      return;
    }
    if (!isJobRequest(data)) return;
    const { id } = data;
    const state = { wanted: true };
    underWay.set(id, state);
    try {
      const told = (share: number) => post({ type: 'progress', id, share }, []);
      const tell = seldom(told);
      const step = async (share: number) => {
        told(share);
        await breathe();
        if (!state.wanted) throw new Stopped('Cancelled');
      };
      const result = await jobs(data.job)(data.input, step, tell);
      if (state.wanted) post({ type: 'result', id, result }, [...buffersOf(result)]);
    } catch (error) {
      if (error instanceof Stopped) return;
      const message = error instanceof Error ? error.message : String(error);
      const faults =
        error instanceof Refused
          ? error.faults
          : [{ code: 'internal' as const, path: [], message }];
      post({ type: 'failure', id, faults }, []);
    } finally {
      underWay.delete(id);
    }
  };
}
