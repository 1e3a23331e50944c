// The aliases of svelte.config.js in the form that the dependency checker understands.
const root = process.cwd();

module.exports = {
  resolve: {
    alias: { $lib: `${root}/src/lib`, $core: `${root}/src/core`, $demo: `${root}/demo` },
    extensions: ['.ts', '.js', '.svelte'],
    exportsFields: ['exports'],
    conditionNames: ['svelte', 'import', 'require', 'node', 'default', 'types']
  }
};
