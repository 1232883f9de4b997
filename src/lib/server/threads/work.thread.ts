import { parentPort, workerData } from 'node:worker_threads';
import { inStyleOf, type ProgramStyle } from '../program-style';
import { doJob, type JobName } from './jobs';

/* One job, done beside the thread that serves. Built into a file of its own by vite.threads.config.ts. */
interface Asked {
	name: JobName;
	asked: readonly unknown[];
	/** How the program that asks writes dates and numbers. */
	style: ProgramStyle;
}
const { name, asked, style } = workerData as Asked;
parentPort!.postMessage(await inStyleOf(style, () => doJob(name, asked)));
