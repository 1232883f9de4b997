// loads along a reach
export { upstreamDownstreamLoads, type LoadStation } from './load-balance';
