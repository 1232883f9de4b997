// spacing of grabs
export { nextGrab, type GrabSpacing, type GrabState, type GrabWindow } from './spacing';
// how long gear must dry
export { dryingDays, isSouthern, type DryingTimes } from './drying';
// everything that is due
export { agenda, type Item, type ProgramFacts } from './agenda';
export { concerning } from './concerns';
// drives
export { distance_km, driveBetween, usualDriveGuess, type Drive, type DriveGuess, type Position } from './drive';
// bottles on the road
export { journeyFrom, straightJourneyFrom, type Courier, type Journey } from './courier';
// the day of a round
export {
	byBetterDay,
	followOrder,
	type DayPlan,
	type RoundQuestion,
	type RoundStop,
	type Slack,
	type TimedStop
} from './round/day';
export { bestDay, type BestDay } from './round/best-order';
export { waitsOf, withoutFirstWait, type Wait } from './round/waits';
export { dayAnswers, type DayAnswers } from './round/answers';
export { ifDelayed, ifLeftOut, remedies, type Alternatives, type Remedy } from './round/what-if';
export { restOfDay, type SoFar } from './round/under-way';
// a season
export {
	weekday,
	whyNotFree,
	weekOf,
	type Circuit,
	type SeasonFacts,
	type Purpose,
	type SeasonRound,
	type Skill,
	type Volunteer
} from './season/season';
export { Board, openSites, type Breach } from './season/breaches';
export { propose, type Proposal, type ProposeOptions } from './season/propose';
export { type Blocker, type Unmet } from './season/why-not';
export {
	placeQualitySamples,
	usualRates,
	type PlannedVisit,
	type QualityRates,
	type QualitySample
} from './season/quality-samples';
export {
	samplerNeeds,
	samplerTasks,
	type Sampler,
	type SamplerNeed,
	type SamplerTask,
	type SamplerTimes
} from './season/samplers';
export { samplerTrip, type SamplerTrip } from './season/sampler-trips';
// what to pack
export { packList, type PackQuestion } from './pack/pack-list';
export { gearWarnings, type GearFacts, type GearQuestion, type GearWarning } from './pack/gear-state';
export { factsFromWire, type SeasonWire } from './season/wire';
export { nearestDay } from './season/nearest-day';
// after a storm
export { crewOn } from './season/crew';
export { stormOffers, stormsIn, type AfterStorm, type RainDay, type Storm, type StormOffer } from './season/storm';
// tidal sites
export { longestWithin, tideWindows } from './tide';
