/* npm start: production, configured by the environment. Refuses to start while something that must be set is not. */
import { readyBuild, readyDatabase, readyMachine, prepareDatabase, serve, serverEnvironment } from './commands.mjs';
import { endOn, say, step, Stop } from './say.mjs';

const port = Number(process.env.PORT ?? 5180);
let release = async () => undefined;

try {
	const missing = ['KEEN_RIFFLE_SECRET', 'ORIGIN'].filter((name) => !process.env[name]);
	if (missing.length)
		throw new Stop(
			`Not started: ${missing.join(' and ')} must be set. The secret is 32 letters or more; the origin is the ` +
				'address in the browser bar.'
		);
	await readyMachine({ production: true });
	const database = await readyDatabase();
	release = database.release;
	await readyBuild();
	const env = {
		...serverEnvironment({ ...database, port, origin: process.env.ORIGIN }),
		HOST: process.env.HOST ?? '127.0.0.1'
	};
	await step('Database up to date', async () => void (await prepareDatabase(env)));
	const { child, ended, ready } = serve(env);
	for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'));
	await ready;
	say(`ready: ${env.ORIGIN}`);
	process.exitCode = await ended;
} catch (error) {
	endOn(error);
} finally {
	await release();
}
