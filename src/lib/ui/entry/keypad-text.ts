/** What a text becomes when a key of the pad is pressed. A sign is put in front, or taken away when it is there. */
export function pressed(text: string, key: string): string {
	if (key === 'back') return text.slice(0, -1);
	if (key === '.' || key === ',') return /[.,]/.test(text) ? text : text + key;
	if (key === '<' || key === '>') return text.startsWith(key) ? text.slice(1) : `${key}${text.replace(/^[<>]/, '')}`;
	if (key === '−') {
		const [, side = '', rest = ''] = /^([<>]?)(.*)$/.exec(text) ?? [];
		return side + (/^[-−]/.test(rest) ? rest.slice(1) : `−${rest}`);
	}
	return text.length < MOST_KEYS ? text + key : text;
}

const MOST_KEYS = 9;
