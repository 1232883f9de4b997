// The empty page that boots any address below /sample, also with no network.
export const prerender = true;
