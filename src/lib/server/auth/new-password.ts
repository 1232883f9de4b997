import { zxcvbn, zxcvbnOptions } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { z } from 'zod';

zxcvbnOptions.setOptions({ dictionary, graphs: adjacencyGraphs });

/** Of 0 to 4: from 3 on a guesser who may try slowly is kept out. */
const STRONG = 3;

export const NewPassword = z
	.string()
	.min(10, 'Ten letters or more. Four plain words are good.')
	.max(128, 'At most 128 letters.');

/** Why a password would be guessed, or null. `known`: what a guesser knows of the person. */
export const whyWeak = (password: string, known: readonly string[] = []): string | null =>
	zxcvbn(password, [...known]).score >= STRONG
		? null
		: 'This would be guessed soon. Take four words that have nothing to do with each other.';
