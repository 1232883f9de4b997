const parts: Record<string, string> = {
	today: 'Today',
	plan: 'The plan',
	review: 'Review',
	sites: 'The page of a site',
	visits: 'The page of a visit',
	library: 'The library',
	account: 'Your account'
};

/** What an address of the office is called that could not be opened without a network; null where nothing was asked. */
export function sayWanted(path: string | null): string | null {
	if (path === null) return null;
	return parts[path.split('/')[1] ?? ''] ?? 'That page';
}
