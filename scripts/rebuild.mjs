/* npm run rebuild: works out every visit again from its logbook, for every program. The logbook itself is only read. */
import { prepareDatabase, project, readyDatabase, readyMachine, runScript, serverEnvironment } from './commands.mjs';
import { endOn, step } from './say.mjs';

let release = async () => undefined;

try {
	await readyMachine({ production: true });
	const database = await readyDatabase();
	release = database.release;
	const env = serverEnvironment({ ...database, port: 0 });
	await step('Database up to date', async () => void (await prepareDatabase(env)));
	await runScript('rebuild-programs', [], { cwd: project, show: true, env });
} catch (error) {
	endOn(error);
} finally {
	await release();
}
