/* npm run rebuild: works out every visit again from its logbook, for every program. The logbook itself is only read. */
import { bin, prepareDatabase, project, readyDatabase, readyMachine, serverEnvironment } from './commands.mjs';
import { run } from './run.mjs';
import { endOn, step } from './say.mjs';

let release = async () => undefined;

try {
	await readyMachine();
	const database = await readyDatabase();
	release = database.release;
	const env = serverEnvironment({ ...database, port: 0 });
	await step('Database up to date', async () => void (await prepareDatabase(env)));
	await run(bin('tsx'), ['scripts/rebuild-programs.ts'], { cwd: project, show: true, env });
} catch (error) {
	endOn(error);
} finally {
	await release();
}
