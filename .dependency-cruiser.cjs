const layer = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

/** Storeys of core, the lowest first: an import never points up. */
const storeys = (...names) =>
  names.slice(0, -1).map((name, at) => ({
    ...layer(`${name}-points-down`, `^src/core/${name}/`, `^src/core/(${names.slice(at + 1).join('|')})/`),
    from: { path: `^src/core/${name}/`, pathNot: '\\.test\\.ts$' },
  }));

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    ...storeys('base', 'physics', 'car', 'worked', 'verdict', 'advice'),
    {
      name: 'car-takes-types-of-physics',
      severity: 'error',
      from: { path: '^src/core/car/', pathNot: '\\.(test|schema|figures)\\.ts$' },
      to: { path: '^src/core/physics/', dependencyTypesNot: ['type-only'] },
    },
    layer('core-is-lowest', '^src/core', '^src/(words|app|features|ui|workers|db|cli)'),
    {
      name: 'core-has-no-platform',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.tsx?$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-has-no-framework',
      severity: 'error',
      from: { path: '^src/core' },
      to: { path: 'node_modules/(react|next|@mui|drizzle-orm|pg)(/|$)' },
    },
    layer('workers-over-core', '^src/workers', '^src/(app|features|ui|db|cli)'),
    layer('words-over-core', '^src/words', '^src/(app|features|ui|workers|db|cli)'),
    layer('ui-over-core', '^src/ui', '^src/(app|features|workers|db|cli)'),
    layer('features-down', '^src/features', '^src/(app|db|cli)'),
    layer('db-over-core', '^src/db', '^src/(app|features|ui|workers|cli)'),
    layer('cli-over-core', '^src/cli', '^src/(app|features|ui|workers|db)'),
    {
      name: 'no-joi-in-the-shell',
      comment: 'Joi is loaded where a form needs it',
      severity: 'error',
      from: { path: '^src/(ui|features|workers)', pathNot: '(\\.test\\.tsx?$|^src/workers/server/)' },
      to: { path: '(\\.schema\\.ts$|node_modules/joi/)', dynamic: false },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '\\.next' },
  },
};
