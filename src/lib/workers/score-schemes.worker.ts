import { expose } from 'comlink';
import { scoreSampling, type SchemeScore, type SchemeSampling } from '$lib/core/score-schemes';

const scoreAll = ({ schemes, ...rest }: SchemeSampling): SchemeScore[] =>
	schemes.map((scheme) => scoreSampling(scheme, rest));
export type ScoreAll = typeof scoreAll;

expose(scoreAll);
