import { getTableColumns } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { KindName, Row } from '../../core/library';
import {
	animal,
	circuit,
	consumable,
	drive,
	flume,
	gear,
	instrument,
	ownParameter,
	place,
	sampler,
	site,
	stream,
	team,
	threshold
} from '../db/schema';

/**
 * Where a kind's rows are kept, and how a row differs from its columns. Program and people are kept in ways of their
 * own.
 */
export interface Kept {
	table: PgTable;
	/** Columns that tell this kind's rows from others in the same table. */
	only?: Record<string, unknown>;
	toRow?: (columns: Record<string, unknown>) => Record<string, unknown>;
	toColumns?: (row: Row) => Record<string, unknown>;
}

const dayOf = (at: unknown): string | null => (at instanceof Date ? at.toISOString().slice(0, 10) : null);

export const tables: Record<Exclude<KindName, 'program' | 'people' | 'cards'>, Kept> = {
	streams: { table: stream },
	sites: { table: site },
	teams: { table: team },
	depots: { table: place, only: { kind: 'depot' } },
	labs: { table: place, only: { kind: 'lab' } },
	drives: { table: drive },
	circuits: { table: circuit },
	instruments: {
		table: instrument,
		toRow: ({ batteryChangedAt, ...rest }) => ({ ...rest, batteryChangedOn: dayOf(batteryChangedAt) }),
		toColumns: ({ batteryChangedOn, ...rest }) => ({
			...rest,
			batteryChangedAt: batteryChangedOn === null ? null : new Date(batteryChangedOn as string)
		})
	},
	consumables: { table: consumable },
	gear: { table: gear },
	samplers: { table: sampler },
	flumes: { table: flume },
	parameters: { table: ownParameter },
	thresholds: { table: threshold },
	animals: { table: animal }
};

/** A column of a kept table, by the name it has in the program. */
export const column = (table: PgTable, name: string) => getTableColumns(table)[name]!;
