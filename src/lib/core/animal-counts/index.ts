// what the words of a file mean
export { rowsOfColumns } from './sample-columns';
export { countFields, CountMapping, type CountField } from './mapping';
// what its rows say of our samples
export { kindsWritten, type KnownTray } from './known-tray';
export { planCounts, type CountPlan, type PlannedSample } from './plan-counts';
export { writesOf } from './writes';
