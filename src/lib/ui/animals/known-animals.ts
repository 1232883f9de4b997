import { createContext } from 'svelte';
import type { AnimalList, OwnAnimal } from '$lib/core/macroinvertebrates';

/** The kinds of animal that the program tells apart, for whatever part of a page names one. */
export const [knownAnimals, setKnownAnimals] = createContext<{
	readonly list: AnimalList;
	/** What the program says of its own, from which the key is made where one is asked. */
	readonly own: readonly OwnAnimal[];
}>();
