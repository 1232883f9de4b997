/* npm run bench: the benchmarks, on the built application with the demo, in a database that is thrown away. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
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
import { endOn, toStderr } from './say.mjs';

let release = async () => undefined;
let child;
const scratch = mkdtempSync(join(tmpdir(), 'keen-riffle-bench-'));

try {
	toStderr(); // with --json, standard output carries figures only
	await readyMachine({ also: ['chromium-headless-shell', 'fonts-liberation'] });
	const database = await readyDatabase({ folderName: '.data/bench', database: `bench_${Date.now().toString(36)}` });
	release = database.release;
	await readyBuild();
	const env = {
		...serverEnvironment({ ...database, port: await freePort() }),
		KEEN_RIFFLE_LOG: 'error',
		BENCH_SCRATCH: scratch
	};
	await prepareDatabase(env, ['--demo']);
	const served = serve(env, { log: 'ignore' });
	child = served.child;
	await served.ready;
	await run(bin('tsx'), ['bench/run.ts', ...process.argv.slice(2)], { cwd: project, show: true, env });
} catch (error) {
	endOn(error);
} finally {
	child?.kill('SIGTERM');
	await release();
	rmSync(scratch, { recursive: true, force: true });
}
