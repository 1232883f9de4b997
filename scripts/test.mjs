/*
 * npm test: everything, from a clean clone: what the machine needs, then style, types, layers, units, reference
 * figures, the server on a real database, and the browser. Ends with the true counts.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
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
import { freePort } from './cluster.mjs';
import { productionStarts } from './production-starts.mjs';
import { run } from './run.mjs';
import { endOn, say, step, stepBeside } from './say.mjs';

delete process.env.DATABASE_URL; // tests never write where somebody works
const NOW = '2026-05-14T11:20:00Z'; // the clock of the tests
const only = process.argv.slice(2);
const wanted = (part) => only.length === 0 || only.includes(part);
const results = join(project, 'test-results');
/** More room for what is young: tools that read every file make much of it, and sweep a tenth of their time. */
const ROOMY = { NODE_OPTIONS: `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim() };
let passed = 0;
let failed = 0;
let release = async () => undefined;

/** A check that passes or fails as a whole. */
async function checkThat(name, holds, told = step) {
	try {
		await told(name, holds);
		passed++;
	} catch (error) {
		console.error(error.message);
		failed++;
	}
}
const check = (name, command, args) =>
	checkThat(
		name,
		async () => void (await run(bin(command), args, { cwd: project, env: ROOMY, failing: name })),
		stepBeside
	);

/** A runner that counts for itself; its report is read, so that the last line is true even when it broke off. */
async function runner(name, command, args, report, counts, env = {}) {
	say(`\n${name}`);
	const file = join(results, report);
	rmSync(file, { force: true });
	const ended = await run(bin(command), args, { cwd: project, show: true, env }).then(
		() => true,
		() => false
	);
	if (!existsSync(file)) {
		say(`${name} left no report.`);
		failed++;
		return;
	}
	const [ok, not] = counts(JSON.parse(readFileSync(file, 'utf8')));
	passed += ok;
	failed += ended || not > 0 ? not : 1;
	if (ok + not === 0) failed++;
}

const vitest = (name, projectName, env) =>
	runner(
		name,
		'vitest',
		[
			'run',
			'--project',
			projectName,
			'--reporter=dot',
			'--reporter=json',
			`--outputFile.json=test-results/${projectName}.json`
		],
		`${projectName}.json`,
		(r) => [
			r.numPassedTests,
			r.numFailedTests + r.testResults.filter((t) => t.status === 'failed' && t.assertionResults.length === 0).length
		],
		{ ...ROOMY, ...env }
	);

/** Does two things at once, each mostly on one processor; waits for both, also where one of them breaks off. */
async function together(...works) {
	const ended = await Promise.allSettled(works);
	const broken = ended.find(({ status }) => status === 'rejected');
	if (broken) throw broken.reason;
	return ended.map(({ value }) => value);
}

/** Does one thing after the other, of what is wanted. */
async function inTurn(...works) {
	for (const work of works) if (work) await work();
}

async function otherChecks() {
	await check('Style: prettier', 'prettier', ['--check', '--log-level', 'warn', '.']);
	await check('No circles: dependency-cruiser', 'depcruise', ['src', '--config', '.dependency-cruiser.cjs']);
	await check('Nothing dead: knip', 'knip', []);
	await check('Methods as the code has them', 'tsx', ['scripts/methods.ts', '--check']);
	await check('Types: svelte-check', 'svelte-check', ['--tsconfig', './tsconfig.json', '--fail-on-warnings']);
}

/** What needs a database: the server alone, then what is built, in browsers. */
async function onDatabases() {
	const thisRun = Date.now().toString(36);
	const names = { server: `server_${thisRun}`, demo: `demo_${thisRun}`, browser: `browser_${thisRun}` };
	const databaseOf = (more) => readyDatabase({ folderName: '.data/test', ...more });
	const database = await databaseOf({ database: names.server });
	release = database.release;
	const port = await freePort();
	const env = { ...serverEnvironment({ ...database, port }), KEEN_RIFFLE_NOW: NOW, KEEN_RIFFLE_LOG: 'error' };
	const withDemo = async () => {
		await checkThat('A production install starts', () => productionStarts(project), stepBeside);
		// what a test does to the whole program, it does to a copy of its own
		const { url: DEMO_DATABASE_URL } = await databaseOf({ database: names.demo, quiet: true });
		const demo = { ...env, DATABASE_URL: DEMO_DATABASE_URL };
		await stepBeside('Demo for the browser', () => prepareDatabase(demo, ['--demo']));
		const { url } = await databaseOf({ database: names.browser, like: names.demo, quiet: true });
		return { ...env, DATABASE_URL: url, DEMO_DATABASE_URL };
	};
	const [, served] = await together(
		wanted('server') && vitest('Server, on a database of its own', 'server', env),
		wanted('browser') && withDemo()
	);
	if (wanted('browser')) await inBrowsers(served);
}

async function inBrowsers(env) {
	const { child, ready } = serve(env);
	await ready;
	const counts = ({ stats }) => [stats.expected, stats.unexpected + stats.flaky];
	await runner('Browser', 'playwright', ['test'], 'browser.json', counts, { ...env, BASE_URL: env.ORIGIN });
	child.kill('SIGTERM');
}

try {
	mkdirSync(results, { recursive: true });
	await readyMachine({ also: ['chromium-headless-shell', 'fonts-liberation', 'poppler-utils'] });
	await step('Generated types', async () => void (await run(bin('svelte-kit'), ['sync'], { cwd: project })));
	// eslint reads types and takes as long as all the other checks together
	await together(
		inTurn(
			wanted('lint') && (() => check('Style and layers: eslint', 'eslint', ['.', '--max-warnings', '0'])),
			wanted('unit') && (() => vitest('Units and reference figures', 'unit'))
		),
		inTurn(wanted('lint') && otherChecks, wanted('browser') && (() => readyBuild(stepBeside)))
	);
	if (wanted('server') || wanted('browser')) await onDatabases();
} catch (error) {
	endOn(error);
	failed++;
} finally {
	await release();
}
if (failed > 0) process.exitCode = 1;
say(`\n${passed} passed, ${failed} failed`);
