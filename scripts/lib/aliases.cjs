// The aliases of svelte.config.js in the form that the dependency checker understands.
const { resolve } = require('node:path');

module.exports = {
  resolve: {
    alias: { $lib: resolve('src/lib'), $core: resolve('src/core'), $demo: resolve('demo') },
    extensions: ['.ts', '.js', '.svelte'],
    exportsFields: ['exports'],
    conditionNames: ['svelte', 'import', 'require', 'node', 'default', 'types']
  }
};
