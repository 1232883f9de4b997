// The mode chosen on this device, set before the first paint so that the page never flashes in another one.
try {
	const mode = localStorage.getItem('keen-riffle-mode');
	if (mode === 'sun' || mode === 'dusk') document.documentElement.dataset.mode = mode;
} catch {
	// no storage: paper
}
