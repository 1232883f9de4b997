/* What the machine must have: Debian packages and node modules. */
import { createHash } from 'node:crypto';
import { accessSync, constants, existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.mjs';
import { Stop, say, step } from './say.mjs';

const LEAST_NODE = [20, 19];

export function checkNode() {
	const [major, minor] = process.versions.node.split('.').map(Number);
	if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1]))
		throw new Stop(`Node ${LEAST_NODE.join('.')} or newer is needed; this is ${process.versions.node}.`);
}

const provided = {
	postgresql: () =>
		existsSync('/usr/lib/postgresql') &&
		readdirSync('/usr/lib/postgresql').some((v) => existsSync(`/usr/lib/postgresql/${v}/bin/initdb`)),
	'chromium-headless-shell': () => existsSync('/usr/bin/chromium-headless-shell'),
	'poppler-utils': () => existsSync('/usr/bin/pdftoppm'),
	'fonts-liberation': () => existsSync('/usr/share/fonts/truetype/liberation')
};

/** What can be used in place of a package that cannot be had. */
const canDoWithout = { 'chromium-headless-shell': () => existsSync('/usr/bin/chromium') };

/**
 * Installs the named Debian packages that are not there: as root, or with sudo; with neither, says which to ask for
 * and goes on without.
 */
export async function debianPackages(names) {
	const missing = names.filter((name) => !provided[name]());
	if (missing.length === 0) return;
	const root = process.getuid() === 0;
	const sudo = !root && (await has('sudo'));
	if (!(await has('apt-get')) || (!root && !sudo)) {
		say(`Please have these Debian packages installed: ${missing.join(' ')}`);
		if (missing.includes('postgresql')) throw new Stop('Without postgresql there is nothing to keep the data in.');
		return;
	}
	const apt = (...args) =>
		run(root ? 'apt-get' : 'sudo', root ? args : ['apt-get', ...args], {
			env: { DEBIAN_FRONTEND: 'noninteractive' },
			failing: `Installing ${missing.join(' ')}`
		});
	await step(`Debian packages: ${missing.join(' ')}`, async () => {
		try {
			await apt('update');
			await apt('install', '-y', '--no-install-recommends', ...missing);
		} catch (error) {
			if (!missing.every((name) => canDoWithout[name]?.())) throw error;
			return 'not to be had; there is another';
		}
	});
}

const has = (command) =>
	run('sh', ['-c', `command -v ${command}`]).then(
		() => true,
		() => false
	);

/** Says which install the node modules are. */
export const markInstalled = (project, { production = false } = {}) =>
	writeFileSync(stampOf(project), stampFor(project, production));

const stampOf = (project) => join(project, 'node_modules', '.keen-riffle-lock');
function stampFor(project, production) {
	const lock = createHash('sha256')
		.update(readFileSync(join(project, 'package-lock.json')))
		.digest('hex');
	return production ? `${lock} production` : lock;
}

/** Installs the node modules when they are not those of the lock file; without those of development where asked. */
export async function nodeModules(project, { production = false } = {}) {
	const there = existsSync(stampOf(project)) ? readFileSync(stampOf(project), 'utf8') : '';
	if (there === stampFor(project, false) || (production && there === stampFor(project, true))) return;
	try {
		accessSync(project, constants.W_OK);
	} catch {
		throw new Stop(`${project} cannot be written to, so the node modules cannot be installed there.`);
	}
	await step('Node modules', async () => {
		await run('npm', ['ci', '--no-audit', '--no-fund', ...(production ? ['--omit=dev'] : [])], {
			cwd: project,
			env: { PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
			failing: 'npm ci'
		});
		markInstalled(project, { production });
	});
}
