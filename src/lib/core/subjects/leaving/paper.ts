import { TIME, type AskOnPaper } from '../blank';

export const leaveBlank: AskOnPaper<'leave'> = () => ({
	text: `lids [  ]   labels [  ]   ice [  ]   nothing left [  ]      left at ${TIME}`
});
