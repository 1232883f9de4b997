import { expose } from 'comlink';
import { scoreSampling, type SchemeScore, type SchemeSampling } from '$lib/core/score-schemes';

const scoreAll = ({ schemes, sampling, checked }: SchemeSampling): SchemeScore[] =>
	schemes.map((scheme) => scoreSampling(scheme, sampling, checked));
export type ScoreAll = typeof scoreAll;

expose(scoreAll);
