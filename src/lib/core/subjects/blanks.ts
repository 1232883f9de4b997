import type { BottleLabel } from '../custody';
import { arriveBlank } from './arrival/paper';
import type { AskOnPaper, Blank } from './blank';
import { bottleBlank } from './bottle/paper';
import { discBlank } from './disc/paper';
import { formBlank } from './form/paper';
import { flowBlank } from './gauging/paper';
import { kitBlank } from './kit/paper';
import { leaveBlank } from './leaving/paper';
import { netBlank } from './net/paper';
import { readingBlank } from './reading/paper';
import { samplerBlank } from './sampler/paper';
import { staffBlank } from './staff-gauge/paper';
import type { Step, Tool } from './steps';
import { titrationBlank } from './titration/paper';
import { trayBlank } from './tray/paper';
import { tubeBlank } from './tube/paper';

/** What the printed sheet asks at each kind of step, a line each. */
const blanks: { [T in Tool]: AskOnPaper<T> } = {
	arrive: arriveBlank,
	bottle: bottleBlank,
	form: formBlank,
	reading: readingBlank,
	kit: kitBlank,
	titration: titrationBlank,
	disc: discBlank,
	tube: tubeBlank,
	staff: staffBlank,
	flow: flowBlank,
	net: netBlank,
	sampler: samplerBlank,
	tray: trayBlank,
	leave: leaveBlank
};

export const blankFor = (step: Step, labels: readonly BottleLabel[]): Blank =>
	(blanks[step.tool] as AskOnPaper<Tool>)(step, labels);
