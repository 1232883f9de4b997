import { LINE, TIME, type AskOnPaper } from '../blank';

export const samplerBlank: AskOnPaper<'sampler'> = (step) => ({
	text: `${step.kind}    set on ${LINE}    found [  ]    buried [  ]    lost [  ]    lifted at ${TIME}`
});
