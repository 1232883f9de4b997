import { arrival } from './arrival/findings';
import { bottle } from './bottle/findings';
import { derived } from './derived/findings';
import { disc } from './disc/findings';
import { form } from './form/findings';
import { gauging } from './gauging/findings';
import { growthTubes } from './growth-tubes/findings';
import { kit } from './kit/findings';
import { leaving } from './leaving/findings';
import { net } from './net/findings';
import { paperCopy } from './paper-copy/findings';
import { plates } from './plates/findings';
import { reading } from './reading/findings';
import { sampler } from './sampler/findings';
import { staffGauge } from './staff-gauge/findings';
import type { Subject } from './subject';
import { titration } from './titration/findings';
import { tray } from './tray/findings';
import { tube } from './tube/findings';
import { voucher } from './voucher/findings';
import { wait } from './wait/findings';

/** All that something is concluded from, a line each; where two say something, it is said in this order. */
export const subjects: readonly Subject[] = [
	arrival,
	form,
	reading,
	kit,
	titration,
	disc,
	tube,
	staffGauge,
	derived,
	gauging,
	net,
	sampler,
	tray,
	voucher,
	bottle,
	plates,
	growthTubes,
	wait,
	leaving,
	paperCopy
];
