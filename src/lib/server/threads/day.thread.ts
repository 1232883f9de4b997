import { parentPort, workerData } from 'node:worker_threads';
import { dayAnswers, type Alternatives, type RoundQuestion } from '../../core/schedule';

/* One round's day, worked out beside the thread that serves. Built into a file of its own by vite.threads.config.ts. */
const { question, alternatives, thin_min } = workerData as { question: RoundQuestion; alternatives: Alternatives; thin_min: number };
parentPort!.postMessage(dayAnswers(question, alternatives, thin_min));
