/** Nothing of ours may import in a circle, not even types: who reads one file of it has to read all. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['source', 'types', 'node', 'import', 'require'],
    },
    cache: { folder: 'node_modules/.cache/dependency-cruiser', strategy: 'content' },
  },
};
