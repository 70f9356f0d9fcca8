/** The direction of dependence: core <- data <- server <- features <- app; ui knows nothing of features. */
const never = (name, from, to, comment) => ({
  name,
  severity: "error",
  comment,
  from: { path: from, pathNot: "\\.test\\.tsx?$" },
  to: { path: to },
});
const stages =
  "brief|needs|concepts|teams|builds|bench|reviews|grades|contest|records|plan|notebook|people|log|access|school|guest|today";
module.exports = {
  forbidden: [
    never(
      "core-imports-core-only",
      "^core/",
      "^(data|features|ui|server|app|workers|demo|devices|e2e|tasks)/",
      "core is pure",
    ),
    {
      name: "core-uses-vetted-packages",
      severity: "error",
      comment: "computing libraries only",
      from: { path: "^core/", pathNot: "\\.test\\.ts$" },
      to: { path: "^node_modules/", pathNot: "^node_modules/(decimal\\.js|mathjs|jstat|date-fns|stemmer)/" },
    },
    never("data-below-screens", "^data/", "^(features|ui|app|server|workers|demo|e2e)/", "data knows core only"),
    never("server-below-screens", "^server/", "^(features|ui|app|workers|demo|e2e)/", "server knows data and core"),
    never("ui-knows-no-feature", "^ui/", "^(features|app|data|server|demo|e2e)/", "the design system stands alone"),
    never("features-below-app", "^features/", "^(app|demo|e2e)/", "routes pick screens, never the reverse"),
    never(
      "nothing-imports-demo",
      "^(core|data|server|ui|features|workers)/",
      "^demo/",
      "the product runs without its demo",
    ),
    {
      name: "no-stage-reaches-into-another",
      severity: "error",
      comment: "go through core or data",
      from: { path: `^features/(${stages})/` },
      to: { path: `^features/(${stages})/`, pathNot: "^features/$1/" },
    },
    { name: "no-circular", severity: "error", from: {}, to: { circular: true, dependencyTypesNot: ["type-only"] } },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^(\\.next|node_modules/(?!decimal))" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
  },
};
