import { spawn } from 'node:child_process';
import { Stop } from './say.mjs';

/**
 * Runs a command to its end. Its output is kept and shown only when it fails, unless `show` is set. Resolves to the
 * output; rejects with a Stop that carries the last lines.
 */
export function run(command, args, { show = false, env, cwd, failing = `${command} ${args[0] ?? ''}` } = {}) {
	return new Promise((resolve, reject) => {
		const child = spawn(command, args, {
			cwd,
			env: { ...process.env, ...env },
			stdio: ['ignore', show ? 'inherit' : 'pipe', show ? 'inherit' : 'pipe']
		});
		let output = '';
		child.stdout?.on('data', (data) => (output += data));
		child.stderr?.on('data', (data) => (output += data));
		child.on('error', (error) => reject(new Stop(`${failing}: ${error.message}`)));
		child.on('close', (code) => {
			if (code === 0) return resolve(output);
			const full = /No space left on device|ENOSPC/.test(output)
				? 'The disk is full. Make room and start again; nothing that was there is damaged.\n'
				: '';
			reject(
				Object.assign(new Stop(`${full}${failing} ended with ${code}.\n${output.split('\n').slice(-25).join('\n')}`), {
					output,
					code
				})
			);
		});
	});
}
