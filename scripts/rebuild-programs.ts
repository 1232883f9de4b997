import { connectionPool, database } from '../src/lib/server/db/connect';
import { program } from '../src/lib/server/db/schema';
import { rebuildProgram } from '../src/lib/server/projection/rebuild';
import { serverNow_ms } from '../src/lib/server/settings';

for (const { id, name } of await database().select({ id: program.id, name: program.name }).from(program)) {
	const visits = await rebuildProgram(database(), id, serverNow_ms(), (done, all) =>
		process.stdout.write(`\r${name}: ${String(Math.floor((100 * done) / Math.max(1, all)))} %`)
	);
	console.log(`\r${name}: ${String(visits)} visits worked out again`);
}
await connectionPool().end();
