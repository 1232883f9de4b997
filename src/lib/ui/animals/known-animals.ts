import { createContext } from 'svelte';
import type { AnimalList } from '$lib/core/macroinvertebrates';

/** The kinds of animal that the program tells apart, for whatever part of a page names one. */
export const [knownAnimals, setKnownAnimals] = createContext<{ readonly list: AnimalList }>();
