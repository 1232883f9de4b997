import type { StepScreen } from '../subjects/step-screen';
import { stamp } from './writer';

type Keeps = Pick<StepScreen, 'writer' | 'keepPhoto' | 'newId'>;

/**
 * Keeps a picture of a visit: what it shows, and what else is said of it. A picture that cannot be one is an error with
 * words to be shown.
 */
export async function keepPicture(
	screen: Keeps,
	picture: Blob,
	{ of, ...more }: { of: string; tray?: string; compartment?: string }
): Promise<void> {
	const { writer } = screen; // the visit in hand now, whatever is open once the picture is small
	const sha256 = await screen.keepPhoto(picture);
	const base = `photos/${screen.newId()}`;
	await writer.setAll({
		[`${base}/of`]: of,
		...Object.fromEntries(Object.entries(more).map(([name, value]) => [`${base}/${name}`, value])),
		[`${base}/takenAt`]: stamp(writer),
		[`${base}/sha256`]: sha256
	});
}
