import type { MediumPlace } from '$lib/core/subjects/plates/branch';
import type { Suggested } from '$lib/core/subjects/plates/words';

/** What counting on a photo needs of the device, and who counts. */
export interface Camera {
	memberId: string;
	/** Keeps a picture on this device; gives its name. Throws with the reason where it is none. */
	keep: (file: Blob) => Promise<string>;
	address: (sha256: string) => Promise<string>;
	/** Looks for colonies in it. */
	find: (sha256: string) => Promise<Suggested>;
	/** Looks for the medium in it; in its middle where it finds none. */
	medium: (sha256: string) => Promise<MediumPlace & { isFound: boolean }>;
	newId: () => string;
}
