import type { Job } from '@/workers/job';
import { createJobServer } from '@/workers/jobServer';
import { shopJobs } from './shopJobs';

const jobs = shopJobs() as unknown as Readonly<Record<string, Job>>;
const unknown: Job = () => Promise.reject(new Error('This worker does not know the job.'));
const serve = createJobServer(
  (message, transfer) => self.postMessage(message, { transfer }),
  (name) => (Object.hasOwn(jobs, name) && jobs[name]) || unknown,
);
self.addEventListener('message', ({ data }: MessageEvent<unknown>) => void serve(data));
