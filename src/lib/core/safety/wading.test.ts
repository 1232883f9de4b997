import { expect, it } from 'vitest';
import { cautionFor, wadingRuleAt, wadingStanding, type WadingLimit } from '.';

const beginners: WadingLimit = { school: 'depth-and-velocity', depth_m: 0.3, velocity_m_s: 0.3 };
const knee: WadingLimit = { school: 'depth-only', depth_m: 0.5, lifeJacket_m: 0.3 };
const crew: WadingLimit = { school: 'product', product_m2_s: 0.6 };

it.each<[string, WadingLimit, object, string]>([
	['deep and fast', beginners, { depth_m: 0.4, velocity_m_s: 0.5 }, 'over'],
	['deep and slow', beginners, { depth_m: 0.4, velocity_m_s: 0.2 }, 'over'],
	['shallow and fast', beginners, { depth_m: 0.2, velocity_m_s: 0.9 }, 'over'],
	['shallow and fast the other way', beginners, { depth_m: 0.2, velocity_m_s: -0.9 }, 'over'],
	['shallow, speed not tried', beginners, { depth_m: 0.2 }, 'unknown'],
	['deep, speed not tried', beginners, { depth_m: 0.4 }, 'over'],
	['at the limit itself', beginners, { depth_m: 0.3, velocity_m_s: 0.3 }, 'under'],
	['above the knee', knee, { depth_m: 0.6 }, 'over'],
	['under the knee, speed not tried', knee, { depth_m: 0.4 }, 'unknown'],
	['under the knee', knee, { depth_m: 0.4, velocity_m_s: 0.5 }, 'lifeJacket'],
	['under the knee in a chute', knee, { depth_m: 0.4, velocity_m_s: 3.1 }, 'over'],
	['nothing tried', knee, {}, 'unknown'],
	['a crew in strong water', crew, { depth_m: 0.8, velocity_m_s: 0.9 }, 'over'],
	['a crew with half the figures', crew, { depth_m: 0.8 }, 'unknown'],
	['a crew in a deep slow pool', crew, { depth_m: 1.3, velocity_m_s: 0.1 }, 'over'],
	[
		'a card that allows more than any may',
		{ school: 'product', product_m2_s: 5 },
		{ depth_m: 1, velocity_m_s: 0.9 },
		'over'
	]
])('%s', (_, limit, water, standing) => {
	expect(wadingStanding(water, limit)).toBe(standing);
});

it('a site’s own depth goes before the card’s, of whatever school', () => {
	for (const limit of [beginners, knee, crew]) {
		const rule = wadingRuleAt(limit, 0.25);
		expect(wadingStanding({ depth_m: 0.26, velocity_m_s: 0.05 }, rule)).toBe('over');
		expect(wadingStanding({ velocity_m_s: 0.05 }, rule)).toBe('unknown');
		expect(wadingStanding({ depth_m: 0.2, velocity_m_s: 0.05 }, rule)).toBe('under');
		expect(wadingRuleAt(limit, null)).toBe(limit);
	}
});

it('a caution has two lines and defers to local rules; it never says that something is safe', () => {
	for (const code of ['water', 'wading', 'sewage']) {
		const caution = cautionFor(code)!;
		expect(caution).toHaveLength(2);
		expect(caution.join(' ')).toMatch(/[Ll]ocal rules/);
		expect(caution.join(' ')).not.toMatch(/\bsafe\b/);
	}
	expect(cautionFor('toString')).toBeNull();
});
