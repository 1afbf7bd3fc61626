import { parentPort } from 'node:worker_threads';
import { serveJob } from './serveJob';

/** The server's thread: the text of a request in, an answer out, one at a time. */
parentPort?.on('message', (text: string) => parentPort?.postMessage(serveJob(text)));
