import { expose } from 'comlink';
import { siteTrend } from '$lib/core/interpret';

expose(siteTrend);
