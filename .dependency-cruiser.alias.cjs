const { resolve } = require('node:path');
module.exports = { resolve: { alias: { $lib: resolve(__dirname, 'src/lib') }, extensions: ['.ts', '.js', '.svelte'] } };
