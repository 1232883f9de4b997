// a key to name animals by: what is known, what was answered
export type { Answer, Character, Key } from './key';
// the animals that are shipped, and those that a program adds
export { animalKey, describedAnimals, questions, type AnimalKey } from './animal-key';
export type { Described, Question } from './described';
// what it may be, what to ask next, whether it is none of them
export { nextQuestions, posterior, surprise } from './posterior';
