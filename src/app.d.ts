import type { Membership } from '$lib/server/db/queries/members';

declare global {
	namespace App {
		interface Locals {
			/** The person's place in a program, when someone is signed in. */
			member: Membership | null;
			/** The database did not answer while this was worked out. */
			isDatabaseAway: boolean;
		}
		/** What lies over a page: going back closes it before it leaves the page. */
		interface PageState {
			isStepsOpen?: boolean;
		}
		interface Error {
			message: string;
		}
	}
}

export {};
