// what a lab's words mean
export { reportFields, ReportMapping, unitKey, type ReportField } from './mapping';
// what its rows say
export {
	planReport,
	notReported,
	type KnownBottle,
	type ReportLine,
	type ReportPlan,
	RowCorrections,
	type RowCorrection
} from './plan-report';
export type { StrangeWord } from './read-row';
