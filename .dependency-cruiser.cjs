/** The arrows of the house: they run down only. */
const FOLDERS = {
  units: [],
  catalogue: ["units"],
  piece: ["catalogue", "units"],
  film: ["piece", "catalogue", "units"],
  drying: ["piece", "catalogue", "units"],
  marking: ["film", "piece", "catalogue", "units"],
  casting: ["film", "drying", "piece", "catalogue", "units"],
  coating: ["film", "drying", "piece", "catalogue", "units"],
  schedule: ["coating", "drying", "film", "piece", "catalogue", "units"],
  logbook: ["casting", "schedule", "coating", "drying", "film", "piece", "catalogue", "units"],
  shelf: ["casting", "logbook", "schedule", "coating", "drying", "film", "piece", "catalogue", "units"],
  merge: ["coating", "drying", "film", "piece", "catalogue", "units"],
  formats: ["merge", "marking", "casting", "shelf", "logbook", "schedule", "coating", "film", "drying", "piece", "catalogue", "units"],
};

const down = Object.entries(FOLDERS).map(([folder, allowed]) => ({
  name: `core-${folder}`,
  severity: "error",
  comment: `core/${folder} may use ${allowed.join(", ") || "nothing else of the core"}`,
  from: { path: `^core/${folder}/`, pathNot: "\\.test\\.ts$" },
  to: { path: "^core/", pathNot: `^core/(${[folder, ...allowed].join("|")})/` },
}));

/** The rooms of core/coating, each using only those before it. */
const ROOMS = ["model", "facts", "rules", "planner", "explain"];
const rooms = ROOMS.map((room, index) => ({
  name: `coating-${room}`,
  severity: "error",
  comment: `core/coating/${room} may use ${ROOMS.slice(0, index).join(", ") || "no other room of coating"}`,
  from: { path: `^core/coating/${room}/`, pathNot: "\\.test\\.ts$" },
  to: { path: "^core/coating/", pathNot: `^core/coating/(${ROOMS.slice(0, index + 1).join("|")})/` },
}));

module.exports = {
  forbidden: [
    ...down,
    ...rooms,
    { name: "core-knows-no-app", severity: "error", from: { path: "^core/" }, to: { path: "^(app|server|scripts)/" } },
    { name: "no-circles", severity: "error", from: {}, to: { circular: true } },
    { name: "no-strays", severity: "error", from: {}, to: { couldNotResolve: true, pathNot: "\\+types|^vite/client$" } },
    { name: "code-knows-no-tests", severity: "error", from: { path: "^(core|app)/", pathNot: "\\.test\\.tsx?$" }, to: { path: "(^tests/|\\.test\\.tsx?$)" } },
    { name: "only-formats-and-edges-validate", severity: "error", from: { path: "^core/", pathNot: "^core/formats/" }, to: { path: "node_modules/joi" } },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "default"] },
  },
};
