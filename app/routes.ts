import { index, route } from "@react-router/dev/routes";
import type { RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/pieces/route.tsx"),
  route("pieces/new", "routes/new-piece/route.tsx"),
  route("pieces/:id", "routes/piece/route.tsx"),
  route("keep", "routes/keep/route.tsx"),
  route("api/plan", "routes/api-plan/route.ts"),
  route("*", "routes/not-found/route.tsx"),
] satisfies RouteConfig;
