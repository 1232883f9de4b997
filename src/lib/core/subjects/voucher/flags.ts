import { doubtKind } from '../flag';

export const voucherFlags = {
	'voucher-renamed': doubtKind<{ label: string; counted: string; said: string }>(
		'note',
		(e) =>
			`Voucher ${e.label} was counted as ${e.counted} and is ${e.said} by those who looked again: its compartment ` +
			`counts as ${e.said}.`
	),
	'voucher-disputed': doubtKind<{ label: string; counted: string; said: readonly string[] }>(
		'ask',
		(e) =>
			`Voucher ${e.label} is called ${e.said.join(' and ')} by those who looked: it counts as ${e.counted} until ` +
			'they agree. Look at it together.'
	)
};
