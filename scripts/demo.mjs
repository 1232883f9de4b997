/* npm run demo: the whole product with demo data, from nothing, on one machine. */
import { mustBeFree } from './cluster.mjs';
import {
	prepareDatabase,
	readyBuild,
	readyDatabase,
	readyMachine,
	serve,
	serverEnvironment,
	bin,
	project
} from './commands.mjs';
import { run } from './run.mjs';
import { endOn, say, step } from './say.mjs';

const port = Number(process.env.PORT ?? 5180);
let release = async () => undefined;

try {
	await mustBeFree(port);
	await readyMachine();
	const database = await readyDatabase({ fresh: process.argv.includes('--fresh') });
	release = database.release;
	await readyBuild();
	const env = serverEnvironment({ ...database, port, origin: process.env.ORIGIN });
	await step('Demo data', async () => (await prepareDatabase(env, ['--demo'])).trim().split(' % ').at(-1));
	const { child, ended, ready } = serve({ ...env, KEEN_RIFFLE_LOG: process.env.KEEN_RIFFLE_LOG ?? 'warn' });
	for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'));
	await ready;
	const signIns = await run(bin('tsx'), ['scripts/demo-sign-ins.ts'], { cwd: project });
	say(`\n${signIns.trim()}\n\nready: ${env.ORIGIN}`);
	await ended;
} catch (error) {
	endOn(error);
} finally {
	await release();
}
