import { createHash } from 'node:crypto';
import { encode, Image } from 'image-js';
import { simulatedPlate } from '../../core/bacteria';
import { labelCode } from '../../core/custody';
import type { Entry } from '../../core/logbook';
import { limitsOf } from '../../core/method';
import { stagesFrom_h } from '../../core/subjects/plates/shelf';
import { seeded } from '../../core/statistics';
import { logbookWriter, seededId, type Writer } from './logbook-writer';
import type { Cast } from './reference-data';

/* Plates that a volunteer grows at the kitchen table: one for each stage of the shelf, and some that were read. */

const MINUTE_ms = 60_000;
const HOUR_ms = 60 * MINUTE_ms;
/** From the stream to the table. */
const CARRIED_h = 4;

interface Batch {
	site: string;
	/** Hours before now that its plates were poured. */
	poured_h: number;
	/** What was read of each plate; nothing while they grow. */
	counts?: readonly number[];
	/** Colonies on the blank that was poured with it. */
	blank?: number;
	/** A bottle for the lab that is far was filled as well. */
	isSent?: boolean;
	/** Colonies on its first plate, of which there is a photo that nobody counted yet. */
	onPhoto?: number;
	/** Volumes in mL of which five tubes each were filled with it. */
	tubes_mL?: readonly number[];
}

const TUBES_OF_A_VOLUME = 5;

/** Card limits as hours of age; a plate of each stage. */
const batches = ({ plateReadable_h, plateTooOld_h }: Parameters<typeof stagesFrom_h>[0]): readonly Batch[] => {
	const from_h = stagesFrom_h({ plateReadable_h, plateTooOld_h });
	return [
		{ site: 'HO1', poured_h: 25, tubes_mL: [10, 1, 0.1] },
		{ site: 'TE5', poured_h: from_h.specks + 3, isSent: true },
		{ site: 'TE3', poured_h: from_h.readable + 2, onPhoto: 118 },
		{ site: 'EB2', poured_h: from_h['last-chance'] + 1, isSent: true },
		{ site: 'TE2', poured_h: 24 * 3 + from_h.readable, counts: [24, 31], isSent: true },
		{ site: 'EB1', poured_h: 24 * 27, counts: [38, 45], blank: 2 }
	];
};

export interface Shelf {
	entries: Entry[];
	/** Pictures that lines of these visits speak of. */
	photos: { visitId: string; sha256: string; jpeg: Buffer }[];
}

export function platesOnTheShelf(cast: Cast): Shelf {
	const { id: cardVersionId, card } = cast.cards[1]!;
	const limits = limitsOf(card);
	const all = batches(limits).map((batch, nth) => batchOf(cast, cardVersionId, limits.plateReadable_h, batch, nth));
	return { entries: all.flatMap((b) => b.entries), photos: all.flatMap((b) => b.photos) };
}

function batchOf(
	cast: Cast,
	cardVersionId: string,
	readable_h: number,
	{ site, poured_h, counts, blank, isSent, onPhoto, tubes_mL = [] }: Batch,
	nth: number
): Shelf {
	const [first, second]: [Writer, Writer] = [cast.writers.get('SO')!, cast.writers.get('OT')!];
	const startedAt_ms = cast.now_ms - (poured_h + CARRIED_h) * HOUR_ms;
	const chance = seeded(6_400 + nth);
	const visitId = seededId(startedAt_ms, chance);
	const { entries, write } = logbookWriter({ id: visitId, startedAt_ms }, chance);
	const at = (minute: number) => new Date(startedAt_ms + minute * MINUTE_ms).toISOString();
	const siteId = cast.sites.find((s) => s.code === site)!.id;
	write(first, 0, 'opening', { siteId, cardVersionId, startedAt: at(0) });
	for (const person of [first, second]) write(first, 1, `arrival/crew/${person.initials}/initials`, person.initials);
	write(first, 2, 'arrival/waiting/backAt', at(180));
	write(first, 3, 'arrival/access', 'bank');
	const bottle = (id: string, role: 'routine' | 'blank', minute: number) => {
		const label = labelCode(site, at(0).slice(0, 10), 'bacteria', role);
		write(first, minute, `bottles/${id}/kind`, 'bacteria');
		write(first, minute, `bottles/${id}/label`, label);
		if (role === 'blank') write(first, minute, `bottles/${id}/role`, role);
		write(first, minute + 1, `bottles/${id}/filledAt`, at(minute + 1));
		write(first, minute + 2, `bottles/${id}/onIceAt`, at(minute + 2));
		return label;
	};
	const pour = (id: string, label: string, n: number, count: number | undefined) => {
		const plate = `plates/${label}-${n}`;
		const poured = CARRIED_h * 60 + n;
		write(first, poured, `${plate}/bottle`, id);
		write(first, poured, `${plate}/volume_mL`, 1);
		write(first, poured, `${plate}/pouredAt`, at(poured));
		if (count === undefined) return;
		const read = poured + (readable_h + 3) * 60;
		write(second, read, `${plate}/count`, count);
		write(second, read, `${plate}/state`, 'counted');
		write(second, read, `${plate}/readAt`, at(read));
	};
	const label = bottle('bacteria', 'routine', 5);
	const blankLabel = blank === undefined ? null : bottle('bacteria-blank', 'blank', 9);
	if (isSent) {
		write(first, 12, 'bottles/nutrients/kind', 'nutrients');
		write(first, 12, 'bottles/nutrients/label', labelCode(site, at(0).slice(0, 10), 'nutrients'));
		write(first, 14, 'bottles/nutrients/preservedWith', 'sulphuric acid');
		for (const [i, done] of ['filledAt', 'preservedAt', 'onIceAt'].entries())
			write(first, 13 + i, `bottles/nutrients/${done}`, at(13 + i));
	}
	write(first, 20, 'leaving/checked', true);
	write(first, 21, 'leaving/at', at(21));
	write(first, CARRIED_h * 60, 'bottles/bacteria/platedAt', at(CARRIED_h * 60));
	for (const n of [1, 2]) pour('bacteria', label, n, counts?.[n - 1]);
	if (blankLabel !== null) pour('bacteria-blank', blankLabel, 1, blank);
	if (tubes_mL.length > 0) {
		const filled = CARRIED_h * 60 + 5;
		const set = `growthTubes/${label}-T1`;
		write(first, filled, `${set}/bottle`, 'bacteria');
		for (const [i, volume_mL] of tubes_mL.entries()) {
			write(first, filled, `${set}/rows/r${i + 1}/volume_mL`, volume_mL);
			write(first, filled, `${set}/rows/r${i + 1}/tubes`, TUBES_OF_A_VOLUME);
		}
		write(first, filled, `${set}/filledAt`, at(filled));
	}
	if (onPhoto === undefined) return { entries, photos: [] };
	const jpeg = photoOfPlate(6_400 + nth, onPhoto);
	const sha256 = createHash('sha256').update(jpeg).digest('hex');
	const photo = `platePhotos/${seededId(startedAt_ms, chance)}`;
	const taken = poured_h * 60 + CARRIED_h * 60 - 10;
	write(first, taken, `${photo}/plate`, `${label}-1`);
	write(first, taken, `${photo}/takenAt`, at(taken));
	write(first, taken, `${photo}/sha256`, sha256);
	return { entries, photos: [{ visitId, sha256, jpeg }] };
}

/** A stand-in for a camera: a plate that was drawn by a model. */
function photoOfPlate(seed: number, colonies: number): Buffer {
	const plate = simulatedPlate({ seed, colonies, others: 22, bubbles: 5, glares: 1 });
	const image = new Image(plate.width_px, plate.height_px, { data: plate.rgb, colorModel: 'RGB' });
	return Buffer.from(encode(image, { format: 'jpeg', encoderOptions: { quality: 80 } }));
}
