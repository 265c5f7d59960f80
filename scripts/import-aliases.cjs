const { resolve } = require('node:path');

/** Where the import checker finds what SvelteKit calls $lib. */
module.exports = { resolve: { alias: { $lib: resolve(__dirname, '../src/lib') }, extensions: ['.ts', '.svelte.ts', '.svelte', '.js'] } };
