import { index, route } from "@react-router/dev/routes";
import type { RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/pieces/route.tsx"),
  route("pieces/new", "routes/new-piece/route.tsx"),
  route("pieces/:id", "routes/piece/route.tsx"),
  route("pieces/:id/sheet", "routes/sheet/route.tsx"),
  route("pieces/:id/card", "routes/card/route.tsx"),
  route("settings", "routes/settings/route.tsx"),
  route("api/plan", "routes/api-plan/route.ts"),
  route("*", "routes/not-found/route.tsx"),
] satisfies RouteConfig;
