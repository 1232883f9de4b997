/** How the places of one branch of the sheet are said where a logbook is read. */
export interface BranchWords {
	name: string;
	/** Of every key that the branch's schema names. */
	keys: Record<string, string>;
	/** Of values that are one of a few, by their key. */
	values?: Record<string, Record<string, string>>;
}
