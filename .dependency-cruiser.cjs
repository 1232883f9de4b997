module.exports = {
	forbidden: [{ name: 'no-circle', severity: 'error', from: {}, to: { circular: true } }],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsConfig: { fileName: 'tsconfig.json' },
		tsPreCompilationDeps: true,
		webpackConfig: { fileName: '.dependency-cruiser.alias.cjs' }
	}
};
