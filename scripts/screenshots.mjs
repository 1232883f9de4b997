/*
 * npm run screenshots: one current picture of each main view, from demo data at a fixed moment, into docs/screenshots.
 */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { freePort } from './cluster.mjs';
import {
	bin,
	prepareDatabase,
	project,
	readyBuild,
	readyDatabase,
	readyMachine,
	serve,
	serverEnvironment
} from './commands.mjs';
import { run } from './run.mjs';
import { endOn, step } from './say.mjs';

let release = async () => undefined;
let child;

try {
	await readyMachine({ also: ['chromium-headless-shell', 'fonts-liberation'] });
	const database = await readyDatabase({
		folderName: '.data/screenshots',
		database: `shots_${Date.now().toString(36)}`
	});
	release = database.release;
	await readyBuild();
	const env = {
		...serverEnvironment({ ...database, port: await freePort() }),
		KEEN_RIFFLE_NOW: '2026-05-14T11:20:00Z',
		KEEN_RIFFLE_LOG: 'error'
	};
	await step('Demo data', async () => void (await prepareDatabase(env, ['--demo'])));
	const served = serve(env, { log: 'ignore' });
	child = served.child;
	await served.ready;
	mkdirSync(join(project, 'docs/screenshots'), { recursive: true });
	await step('Pictures', async () => void (await run(bin('tsx'), ['scripts/take-pictures.ts'], { cwd: project, env })));
} catch (error) {
	endOn(error);
} finally {
	child?.kill('SIGTERM');
	await release();
}
