import { doubtKind, type Nothing } from '../flag';

export const paperCopyFlags = {
	'typed-once': doubtKind<Nothing>(
		'ask',
		() =>
			'Typed in from paper by one person only. A second one types it without seeing the first, and the ' +
			'differences show.'
	)
};
