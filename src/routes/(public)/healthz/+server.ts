import { text } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The application answers. */
export const GET: RequestHandler = () => text('ok', { headers: { 'cache-control': 'no-store' } });
