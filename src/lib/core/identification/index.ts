// a key to name animals by: what is known, what was answered
export type { Answer, Character, Key } from './key';
// what it may be, what to ask next, whether it is none of them
export { nextQuestions, posterior, surprise } from './posterior';
