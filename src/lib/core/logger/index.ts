// how far a sensor was off, and its record put right
export { correctRecord, foulingAndDrift, recordRating } from './corrections';
// what a record holds
export { dailyStatistics, flatLine, gaps, hampel, type Day } from './record';
