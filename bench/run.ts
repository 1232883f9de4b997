import { animalsInterval, keyAnswer, trayTap40 } from './at-the-tray';
import { coldOfflineStart } from './cold-offline-start';
import { evaluateFullSheet } from './evaluate-full-sheet';
import { evaluateKeystroke } from './evaluate-keystroke';
import { benchFirstLoad, packFirstLoad, sampleFirstLoad, trayFirstLoad } from './first-load';
import { plan500Sites, satchel1m, today500Sites } from './five-hundred-sites';
import { kendall20000 } from './kendall-20000';
import { labFile10000 } from './lab-file-10000';
import { idleWakeups, sampleLatency40 } from './on-the-bank';
import { plateMarks100, plateRecall } from './plate-marks';
import { rarefactionCurve5000 } from './rarefaction-curve-5000';
import { route12, route8 } from './route';
import { seasonLibrary10, seasonLibrary100 } from './season-by-library';
import { seasonPropose10, seasonPropose100 } from './season-propose';
import { seasonalKendallMonthly100y } from './seasonal-kendall-monthly-100y';
import { senSlope5000 } from './sen-slope-5000';
import { sitePage300Years } from './site-page-300-years';
import { sync10000 } from './sync-10000';
import type { Bench, Where } from './measure';

const benches: Bench[] = [
	evaluateFullSheet,
	evaluateKeystroke,
	kendall20000,
	senSlope5000,
	seasonalKendallMonthly100y,
	rarefactionCurve5000,
	animalsInterval,
	plateRecall,
	seasonPropose10,
	seasonPropose100,
	seasonLibrary10,
	seasonLibrary100,
	route8,
	route12,
	sampleFirstLoad,
	packFirstLoad,
	trayFirstLoad,
	benchFirstLoad,
	coldOfflineStart,
	sampleLatency40,
	idleWakeups,
	trayTap40,
	keyAnswer,
	plateMarks100,
	sitePage300Years,
	sync10000,
	// last: these grow the program
	labFile10000,
	today500Sites,
	plan500Sites,
	satchel1m
];

const json = process.argv.includes('--json');
const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : undefined;
const where: Where = {
	url: process.env['ORIGIN']!,
	databaseUrl: process.env['DATABASE_URL']!,
	scratch: process.env['BENCH_SCRATCH']!
};

const chosen = benches.filter((b) => only === undefined || b.name === only);
if (chosen.length === 0) {
	console.error(`There is no benchmark ${String(only)}. There are: ${benches.map((b) => b.name).join(', ')}`);
	process.exit(2);
}
if (!json)
	console.log(
		`${'name'.padEnd(32)}${'ours'.padStart(10)}${'theirs'.padStart(10)}  ` +
			`${'unit'.padEnd(5)}${'ratio'.padStart(7)}${'reach'.padStart(7)}  theirs is`
	);
for (const bench of chosen) {
	const { ours, theirs, note } = await bench.run(where);
	const ratio = ours / theirs;
	if (json) console.log(JSON.stringify({ name: bench.name, ours, theirs, unit: bench.unit, ratio }));
	else {
		console.log(
			`${bench.name.padEnd(32)}${ours.toFixed(1).padStart(10)}${theirs.toFixed(1).padStart(10)}  ` +
				`${bench.unit.padEnd(5)}${ratio.toFixed(2).padStart(7)}${String(bench.reach).padStart(7)}  ${bench.theirs}`
		);
		if (note) console.log(`  ${note}`);
	}
}
