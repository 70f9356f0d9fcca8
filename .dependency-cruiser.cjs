/** The direction of dependence: core <- platform <- stages <- frame <- app; ui knows neither stages nor platform. */
const never = (name, from, to, comment) => ({
  name,
  severity: "error",
  comment,
  from: { path: from, pathNot: "\\.test\\.tsx?$|/testing/" },
  to: { path: to },
});
const above = (...layers) => `^(${[...layers, "demo", "e2e", "tasks", "cli"].join("|")})/`;
module.exports = {
  forbidden: [
    never(
      "core-imports-core-only",
      "^core/",
      above("platform", "stages", "frame", "ui", "app", "workers"),
      "core is pure",
    ),
    {
      name: "core-uses-vetted-packages",
      severity: "error",
      comment: "computing libraries only",
      from: { path: "^core/", pathNot: "\\.test\\.ts$" },
      to: { path: "^node_modules/", pathNot: "^node_modules/(decimal\\.js|mathjs|jstat|stemmer)/" },
    },
    never(
      "platform-below-stages",
      "^platform/",
      above("stages", "frame", "ui", "app", "workers"),
      "it serves any stage",
    ),
    never("ui-stands-alone", "^ui/", above("platform", "stages", "frame", "app"), "the design system knows core only"),
    never("stages-below-frame", "^stages/", above("frame", "app"), "a stage does not know what stands around it"),
    never("frame-below-app", "^frame/", above("app"), "routes pick screens, never the reverse"),
    never("nothing-imports-demo", "^(app|workers)/", above(), "the product runs without its demo"),
    {
      name: "a-stage-keeps-its-own",
      severity: "error",
      comment: "of another stage only acts, queries, view and schema may be used; templates write what all forms write",
      from: { path: "^stages/([^/]+)/", pathNot: "\\.test\\.ts$|^stages/testing/|^stages/templates/(apply|commands)" },
      to: { path: "^stages/[^/]+/(screens|parts|commands|withdrawals|actions|stage)", pathNot: "^stages/$1/" },
    },
    {
      name: "screens-do-not-write",
      severity: "error",
      comment: "a screen reads; writing goes through an action",
      from: { path: "/(screens|parts)/" },
      to: { path: "/(commands(/|\\.ts$)|withdrawals\\.ts$)" },
    },
    {
      name: "fields-know-their-form",
      severity: "error",
      comment: "a form's fields come from fieldsOf or fieldsFor, so that the compiler checks their names",
      from: { path: "^(stages|frame|app)/", pathNot: "\\.test\\.tsx?$" },
      to: { path: "^ui/form/(fields|choice-field|method-field|quantity-field)\\.tsx$" },
    },
    {
      name: "no-circular",
      severity: "error",
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^(\\.next|node_modules/(?!decimal))" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
  },
};
