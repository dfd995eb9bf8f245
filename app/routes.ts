import { index, route } from "@react-router/dev/routes";
import type { RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/bench/route.tsx"),
  route("evening", "routes/evening/route.tsx"),
  route("practice", "routes/practice/route.tsx"),
  route("pieces", "routes/pieces/route.tsx"),
  route("pieces/new", "routes/new-piece/route.tsx"),
  route("pieces/:id", "routes/piece/route.tsx", [
    index("routes/piece-plan/route.tsx"),
    route("dates", "routes/piece-dates/route.tsx"),
    route("ways", "routes/piece-ways/route.tsx"),
    route("marks", "routes/piece-marks/route.tsx"),
    route("mixing", "routes/piece-mixing/route.tsx"),
    route("sheet", "routes/piece-sheet/route.tsx"),
    route("card", "routes/piece-card/route.tsx"),
    route("rescue", "routes/piece-rescue/route.tsx"),
  ]),
  route("pieces/:id/photographs", "routes/piece-photos/route.ts"),
  route("sets/:set", "routes/set/route.tsx"),
  route("desk", "routes/desk/route.tsx"),
  route("desk/marking", "routes/marking/route.tsx"),
  route("desk/recipes", "routes/desk-recipes/route.ts"),
  route("calendar", "routes/calendar/route.tsx"),
  route("shelf", "routes/shelf/route.tsx"),
  route("shelf/shopping", "routes/shopping/route.tsx"),
  route("settings", "routes/settings/route.tsx"),
  route("names", "routes/names/route.ts"),
  route("history", "routes/history/route.ts"),
  route("api/plan", "routes/api-plan/route.ts"),
  route("*", "routes/not-found/route.tsx"),
] satisfies RouteConfig;
