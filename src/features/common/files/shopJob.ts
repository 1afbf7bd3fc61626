import type { ShopJobName, ShopJobs } from '@/data/exchange/shopJobs';
import type { ComputeOptions } from '@/workers/client';
import { shopClient } from '@/workers/shopClient';

/** A whole shop of many years takes its time; what never comes is given up. */
const TIMEOUT_MS = 10 * 60_000;

/** Has a job on the whole shop done beside the page. @throws ComputeError; an AbortError when it is stopped */
export const shopJob = async <N extends ShopJobName>(
  job: N,
  input: ShopJobs[N]['input'],
  options: ComputeOptions = {},
): Promise<ShopJobs[N]['output']> =>
  (await shopClient().run(job, input, {
    timeoutMs: TIMEOUT_MS,
    ...options,
  })) as ShopJobs[N]['output'];
