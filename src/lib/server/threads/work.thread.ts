import { parentPort, workerData } from 'node:worker_threads';
import { doJob, type JobName } from './jobs';

/* One job, done beside the thread that serves. Built into a file of its own by vite.threads.config.ts. */
const { name, asked } = workerData as { name: JobName; asked: readonly unknown[] };
parentPort!.postMessage(await doJob(name, asked));
