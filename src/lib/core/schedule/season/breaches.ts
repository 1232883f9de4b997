import {
	isTrained,
	seasonOf,
	weekday,
	whyNotFree,
	type Circuit,
	type Purpose,
	type SeasonFacts,
	type SeasonRound,
	type Skill,
	type Volunteer
} from './season';

/** A rule that a round breaks, with the figures that show it. */
export type Breach =
	| { rule: 'too-soon'; days: number; least_days: number; neighbour: 'last' | 'next' }
	| { rule: 'too-far'; days: number; most_days: number }
	| { rule: 'refused'; because: string }
	| { rule: 'barred'; site: string; why: string }
	| { rule: 'no-order' }
	| { rule: 'kit-twice'; kit: string; other: string }
	| { rule: 'weekday'; weekday: number; allowed: readonly number[] }
	| { rule: 'lab-closed'; weekday: number }
	| { rule: 'lab-full'; bottles: number; most: number }
	| { rule: 'wet-gear'; kit: string; water: string; days: number; dry_days: number }
	| { rule: 'crew-short'; have: number; want: number }
	| { rule: 'skill-missing'; skill: Skill }
	| { rule: 'not-free'; personId: string }
	| { rule: 'twice-that-day'; personId: string }
	| { rule: 'holiday' }
	| { rule: 'outside-season' };

const isGrab = (purpose: Purpose | undefined): boolean => purpose === undefined || purpose === 'grab';
const bottlesOf = (circuit: Circuit, round: Pick<SeasonRound, 'purpose' | 'bottles'>): number =>
	round.purpose === 'sampler' ? 0 : (round.bottles ?? circuit.bottles);

const barredOn = (circuit: Circuit, day: number) =>
	(circuit.barred ?? []).filter((b) => b.from === null || day >= b.from);

/** Sites of a circuit that may be visited on a day. */
export const openSites = (circuit: Circuit, day: number): string[] =>
	circuit.siteIds.filter((id) => !barredOn(circuit, day).some((b) => b.siteId === id));

/** Whether a round was or will be at a site: of one that is done, its visits say so. */
export const goesTo = (round: SeasonRound, circuit: Circuit, siteId: string): boolean =>
	(round.state === 'done'
		? (round.visited ?? round.siteIds ?? circuit.siteIds)
		: (round.siteIds ?? circuit.siteIds)
	).includes(siteId);

/** A season's rounds by circuit, by day and by kit, so that a rule is looked up and not searched for. */
export class Board {
	readonly #byCircuit = new Map<string, SeasonRound[]>();
	readonly #byKit = new Map<string, { day: number; water: string; id: string }[]>();
	readonly #byDay = new Map<number, SeasonRound[]>();
	/** Days that somebody refused for a circuit, and why. */
	readonly #refused = new Map<string, Map<number, string>>();
	readonly #circuits: Map<string, Circuit>;
	readonly #people: Map<string, Volunteer>;

	constructor(
		readonly facts: SeasonFacts,
		rounds: Iterable<SeasonRound> = []
	) {
		this.#circuits = new Map(facts.circuits.map((c) => [c.id, c]));
		this.#people = new Map(facts.people.map((p) => [p.id, p]));
		for (const round of rounds) this.add(round);
	}

	circuit = (id: string): Circuit => {
		const circuit = this.#circuits.get(id);
		if (!circuit) throw new RangeError(`no circuit ${id}`);
		return circuit;
	};

	/**
	 * Rounds that took or will take place; those missed keep no rule and break none, and of those refused the date
	 * stays refused.
	 */
	add(round: SeasonRound): void {
		if (round.state === 'refused') {
			const days = this.#refused.get(round.circuitId) ?? new Map<number, string>();
			this.#refused.set(round.circuitId, days.set(round.day, round.refusedBecause ?? ''));
		}
		if (round.state === 'refused' || round.state === 'missed') return;
		const circuit = this.circuit(round.circuitId);
		if (isGrab(round.purpose)) push(this.#byCircuit, circuit.id, round);
		push(this.#byKit, circuit.kit, { day: round.day, water: circuit.water, id: round.id });
		push(this.#byDay, round.day, round);
	}

	remove(round: SeasonRound): void {
		const circuit = this.circuit(round.circuitId);
		drop(this.#byCircuit, circuit.id, round.id);
		drop(this.#byKit, circuit.kit, round.id);
		drop(this.#byDay, round.day, round.id);
	}

	/**
	 * Rules that a day itself breaks for a circuit, whoever goes: a refusal, the weekday, the lab, the gear, sites
	 * that are barred, the hours.
	 */
	dayBreaches(circuit: Circuit, day: number, self: string | null = null, round: Partial<SeasonRound> = {}): Breach[] {
		const { facts } = this;
		const { purpose = 'grab' } = round;
		const found: Breach[] = [];
		const because = this.#refused.get(circuit.id)?.get(day);
		if (because !== undefined) found.push({ rule: 'refused', because });
		// a round that is still to be made leaves out what is barred; one that goes there all the same breaks the rule
		for (const b of barredOn(circuit, day))
			if (round.siteIds ? round.siteIds.includes(b.siteId) : openSites(circuit, day).length === 0)
				found.push({ rule: 'barred', site: b.site, why: b.why });
		if (
			purpose !== 'sampler' &&
			(round.day === day && round.hasNoOrder !== undefined
				? round.hasNoOrder
				: circuit.noOrderOn?.includes(weekday(day)))
		)
			found.push({ rule: 'no-order' });
		const twin = this.on(day).find((r) => r.id !== self && this.circuit(r.circuitId).kit === circuit.kit);
		if (twin && circuit.kit !== '')
			found.push({ rule: 'kit-twice', kit: circuit.kit, other: this.circuit(twin.circuitId).name });
		const season = seasonOf(facts, circuit);
		if (day < season.from || day > season.to) found.push({ rule: 'outside-season' });
		if (facts.holidays?.includes(day)) found.push({ rule: 'holiday' });
		if (!circuit.weekdays.includes(weekday(day)))
			found.push({ rule: 'weekday', weekday: weekday(day), allowed: circuit.weekdays });
		const labId = round.labId ?? circuit.labId;
		const lab = labId === null ? undefined : facts.labs[labId];
		const own = bottlesOf(circuit, { purpose, bottles: round.bottles });
		if (own > 0 && lab) {
			if (!lab.weekdays.includes(weekday(day)) || lab.closed.includes(day))
				found.push({ rule: 'lab-closed', weekday: weekday(day) });
			const others = this.on(day)
				.filter((r) => r.id !== self)
				.map((r) => ({ of: this.circuit(r.circuitId), round: r }))
				.filter((o) => (o.round.labId ?? o.of.labId) === labId);
			const bottles = own + others.reduce((n, o) => n + bottlesOf(o.of, o.round), 0);
			if (bottles > lab.bottlesADay) found.push({ rule: 'lab-full', bottles, most: lab.bottlesADay });
		}
		if (!facts.disinfected.has(circuit.kit))
			for (const wet of this.#byKit.get(circuit.kit) ?? []) {
				if (wet.id === self || wet.water === circuit.water) continue;
				const days = Math.abs(day - wet.day);
				const dry_days = facts.dryingDays(Math.min(day, wet.day));
				if (days < dry_days) found.push({ rule: 'wet-gear', kit: circuit.kit, water: wet.water, days, dry_days });
			}
		return found;
	}

	/** Every rule that a round breaks on its day, its crew's among them. */
	breaches(round: SeasonRound): Breach[] {
		const circuit = this.circuit(round.circuitId);
		const { spacing } = circuit;
		const found = this.dayBreaches(circuit, round.day, round.id, round);
		const others = (!isGrab(round.purpose) ? [] : (this.#byCircuit.get(circuit.id) ?? [])).filter(
			(r) => r.id !== round.id
		);
		const days = others.map((r) => r.day);
		const last = Math.max(...days.filter((d) => d <= round.day));
		const next = Math.min(...days.filter((d) => d > round.day));
		if (round.day - last < spacing.least_days)
			found.unshift({ rule: 'too-soon', days: round.day - last, least_days: spacing.least_days, neighbour: 'last' });
		if (next - round.day < spacing.least_days)
			found.unshift({ rule: 'too-soon', days: next - round.day, least_days: spacing.least_days, neighbour: 'next' });
		// a round that left a site out was not there: the site that has waited longest counts
		const longest = Math.max(
			...circuit.siteIds.map((siteId) => {
				const lastThere = Math.max(
					...others.filter((r) => r.day <= round.day && goesTo(r, circuit, siteId)).map((r) => r.day)
				);
				return Number.isFinite(lastThere) && goesTo(round, circuit, siteId) ? round.day - lastThere : -Infinity;
			})
		);
		if (longest > spacing.most_days) found.push({ rule: 'too-far', days: longest, most_days: spacing.most_days });
		if (round.crew.length < circuit.crew)
			found.push({ rule: 'crew-short', have: round.crew.length, want: circuit.crew });
		for (const skill of circuit.needs)
			if (!round.crew.some((id) => this.isTrained(id, skill, round.day))) found.push({ rule: 'skill-missing', skill });
		for (const personId of round.crew) {
			if (!this.isFree(personId, round.day)) found.push({ rule: 'not-free', personId });
			if (this.on(round.day).some((r) => r.id !== round.id && r.crew.includes(personId)))
				found.push({ rule: 'twice-that-day', personId });
		}
		return found;
	}

	/**
	 * The rules that keep a round from being planned: not that it comes late, for that is no better without it; and a
	 * trip to a sampler keeps no weekday, for bags do not wait for one.
	 */
	forbids(round: SeasonRound): Breach[] {
		return this.breaches(round).filter(
			(b) => b.rule !== 'too-far' && !(round.purpose === 'sampler' && b.rule === 'weekday')
		);
	}

	isTrained(personId: string, skill: Skill, day: number): boolean {
		const person = this.#people.get(personId);
		return person !== undefined && isTrained(person, skill, day);
	}

	isFree(personId: string, day: number): boolean {
		const person = this.#people.get(personId);
		return person !== undefined && whyNotFree(person, day) === null;
	}

	on = (day: number): readonly SeasonRound[] => this.#byDay.get(day) ?? [];
	of = (circuitId: string): readonly SeasonRound[] => this.#byCircuit.get(circuitId) ?? [];
}

function push<K, T>(map: Map<K, T[]>, key: K, item: T): void {
	const list = map.get(key);
	if (list) list.push(item);
	else map.set(key, [item]);
}

function drop<K, T extends { id: string }>(map: Map<K, T[]>, key: K, id: string): void {
	const list = map.get(key);
	const at = list?.findIndex((r) => r.id === id) ?? -1;
	if (at !== -1) list!.splice(at, 1);
}
