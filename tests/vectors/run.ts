import { readReferenceFolder, runReferenceFile } from './reference-file';

const FIRST_FAILURES_SHOWN = 3;
const folder = process.argv[2];
if (!folder) {
	console.error('Which folder? npm run vectors -- DIR');
	process.exit(2);
}
const reports = readReferenceFolder(folder).map(runReferenceFile);
if (reports.length === 0) {
	console.error(`No reference file (*.json) in ${folder}`);
	process.exit(2);
}
for (const r of reports) {
	const asMeant = r.mismatches.length ? 'FAILED' : 'passed';
	const state = r.built ? asMeant : 'not built';
	console.log(
		`${r.topic.padEnd(20)} ${state.padEnd(10)} ${r.passed} of ${r.passed + r.mismatches.length}   worst relative ` +
			`error ${r.worstRelativeError.toExponential(1)}`
	);
	if (!r.built) continue;
	for (const m of r.mismatches.slice(0, FIRST_FAILURES_SHOWN)) {
		console.log(`  ${m.case.fn}, "${m.case.name}": ${m.why}`);
		console.log(`    input    ${JSON.stringify(m.case.input)}`);
		console.log(`    expected ${JSON.stringify(m.case.expected)}`);
		console.log(`    got      ${JSON.stringify(m.got)}`);
	}
}
process.exit(reports.every((r) => r.mismatches.length === 0) ? 0 : 1);
