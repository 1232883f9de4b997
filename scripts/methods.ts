/*
 * npm run methods: writes docs/methods.md from the code's own docstrings, the subjects' READMEs and the shipped
 * cards. With --check it writes nothing and fails when the file is not what it would write.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { format, resolveConfig } from 'prettier';
import ts from 'typescript';
import { Limits, limitsOf, orderSteps, streamVisit, type MethodCard } from '../src/lib/core/method';
import { sayLimit } from '../src/lib/core/safety';
import { parameters, units, type Parameter } from '../src/lib/core/quantity';

const project = new URL('..', import.meta.url).pathname;
const core = join(project, 'src/lib/core');
const target = join(project, 'docs/methods.md');
/** Subjects in the order in which a reader meets them at the stream and at the desk. */
const subjects = [
	'oxygen',
	'conductivity',
	'clarity',
	'discharge',
	'bacteria',
	'macroinvertebrates',
	'identification',
	'nutrients',
	'logger',
	'statistics',
	'quality',
	'custody',
	'schedule',
	'safety'
];

const program = ts.createProgram(
	subjects.map((s) => join(core, s, 'index.ts')),
	{
		target: ts.ScriptTarget.ES2022,
		module: ts.ModuleKind.ESNext,
		moduleResolution: ts.ModuleResolutionKind.Bundler,
		skipLibCheck: true,
		noEmit: true
	}
);
const checker = program.getTypeChecker();

interface Formula {
	name: string;
	says: string;
	code: string;
	file: string;
}

/** The functions that a subject's index makes public, each with its docstring and its text. */
function formulasOf(subject: string): Formula[] {
	const index = program.getSourceFile(join(core, subject, 'index.ts'))!;
	return checker.getExportsOfModule(checker.getSymbolAtLocation(index)!).flatMap((exported) => {
		const symbol = exported.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(exported) : exported;
		const declaration = symbol.valueDeclaration;
		if (!declaration || !symbol.getDocumentationComment(checker).length || !isFunction(declaration)) return [];
		const file = declaration.getSourceFile();
		const whole = ts.isVariableDeclaration(declaration) ? declaration.parent.parent : declaration;
		const code = whole.getText(file).replace(/^export /, '');
		return [
			{
				name: symbol.name,
				says: sentence(ts.displayPartsToString(symbol.getDocumentationComment(checker))),
				code,
				file: relative(project, file.fileName)
			}
		];
	});
}

const isFunction = (d: ts.Declaration) =>
	ts.isFunctionDeclaration(d) ||
	(ts.isVariableDeclaration(d) && d.initializer !== undefined && ts.isArrowFunction(d.initializer));

const sentence = (doc: string) => doc.replace(/\{@link (\w+)\}/g, '`$1`').replace(/\n(?!\n)/g, ' ');

/** Constants with a number in them, of the files that hold a subject's formulas. */
function constantsOf(formulas: readonly Formula[]): string[] {
	return [...new Set(formulas.map((f) => f.file))].flatMap((name) => {
		const file = program.getSourceFile(join(project, name))!;
		return file.statements.filter(ts.isVariableStatement).flatMap((statement) => {
			const text = statement.getText(file).replace(/^export /, '');
			const isNumber = statement.declarationList.declarations.every(
				(d) => d.initializer && /^[-\d[({n]/.test(d.initializer.getText(file)) && !ts.isArrowFunction(d.initializer)
			);
			if (!isNumber || !/^const [A-Z]/.test(text)) return [];
			const rest = file.text.slice(statement.end).split('\n')[0]!;
			return [`${text}${rest}`];
		});
	});
}

function subjectPart(subject: string): string {
	const readme = join(core, subject, 'README.md');
	const intro = existsSync(readme)
		? readFileSync(readme, 'utf8')
				.replace(/^# /, '## ')
				.replace(/\nRead first:[^]*$/, '')
		: `## ${subject.charAt(0).toUpperCase()}${subject.slice(1)}\n`;
	const formulas = formulasOf(subject);
	const constants = constantsOf(formulas);
	return [
		intro.trim(),
		...formulas.map((f) => `### ${f.name}\n\n${f.says}\n\n\`\`\`ts\n${f.code}\n\`\`\``),
		constants.length ? `### Constants of this part\n\n\`\`\`ts\n${constants.join('\n')}\n\`\`\`` : ''
	]
		.filter(Boolean)
		.join('\n\n');
}

function cardPart(card: MethodCard): string {
	const order = orderSteps(card);
	const steps = 'steps' in order ? order.steps : [];
	const limits = limitsOf(card);
	const settings = [
		...Object.entries(Limits.shape).map(([name, field]) => {
			const value = limits[name as keyof typeof limits];
			return [
				name,
				typeof value === 'object' ? JSON.stringify(value) : String(value ?? 'none'),
				field.description ?? ''
			];
		}),
		['bacteria_h', String(card.holding.bacteria_h), 'hours from filling a bacteria bottle to plating it'],
		['withoutIce_h', String(card.holding.withoutIce_h), 'hours that a bottle may stand without ice'],
		['wading', sayLimit(card.wading), 'not to be waded where it is']
	];
	return `## Card: ${card.title}, version ${card.version}\n\n${card.summary}\n\n| step | how | why it stands here | what leaving without it costs |\n|---|---|---|---|\n${steps
		.map(({ step, because }) => `| ${step.title} | ${step.how} | ${because.join(' ')} | ${step.costIfMissing ?? ''} |`)
		.join(
			'\n'
		)}\n\n### Settings, as shipped\n\n| setting | value | meaning |\n|---|---|---|\n${settings.map((row) => `| ${row.join(' | ')} |`).join('\n')}`;
}

const parameterPart = `## Parameters\n\nPossible: outside it a figure is refused. Plausible: outside it the person is asked.\n\n| parameter | kept in | possible | plausible |\n|---|---|---|---|\n${Object.values(
	parameters as Record<string, Parameter>
)
	.map((p) => `| ${p.name} | ${units[p.unit].symbol} | ${p.possible.join(' to ')} | ${p.plausible.join(' to ')} |`)
	.join('\n')}`;

const text = await format(
	[
		'# Methods',
		'What Keen Riffle computes, for whoever has to judge the data: every formula as it is computed, its source and ' +
			'its limits, and the settings as shipped. This file is made from the program by `npm run methods`; a test ' +
			'fails when the two differ. Undefined figures are never given as 0, no figure is rounded before it is shown, ' +
			'and what is only known to lie below or above a limit stays so through every formula.',
		cardPart(streamVisit),
		parameterPart,
		...subjects.map(subjectPart)
	].join('\n\n'),
	{ ...(await resolveConfig(target)), parser: 'markdown', embeddedLanguageFormatting: 'off' }
);

if (process.argv.includes('--check')) {
	if (!existsSync(target) || readFileSync(target, 'utf8') !== text) {
		console.error('docs/methods.md is not what the code says: npm run methods');
		process.exit(1);
	}
} else writeFileSync(target, text);
