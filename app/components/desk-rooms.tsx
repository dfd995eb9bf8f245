import { NavLink } from "react-router";

const ROOMS = [
  { to: "/desk", label: "Mixing desk" },
  { to: "/desk/marking", label: "Marking out" },
  { to: "/desk/casting", label: "Casting" },
] as const;

/** The rooms of the Desk. */
export function DeskRooms() {
  return (
    <nav aria-label="Desk" className="flex flex-wrap gap-x-2">
      {ROOMS.map(({ to, label }) => (
        <NavLink key={to} to={to} end className={({ isActive }) => `font-display text-2xl sm:text-3xl ${isActive ? "" : "text-soft underline"} mr-4`}>
          {({ isActive }) => (isActive ? <h1 className="text-2xl sm:text-3xl">{label}</h1> : label)}
        </NavLink>
      ))}
    </nav>
  );
}
