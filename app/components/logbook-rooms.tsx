import { NavLink } from "react-router";

const ROOMS = [
  { to: "/logbook", label: "Logbook" },
  { to: "/logbook/trials", label: "Trials" },
  { to: "/logbook/stall", label: "The stall" },
  { to: "/logbook/numbers", label: "In numbers" },
] as const;

/** The rooms of the Logbook. */
export function LogbookRooms() {
  return (
    <nav aria-label="Logbook" className="flex flex-wrap gap-x-2 print:hidden">
      {ROOMS.map(({ to, label }) => (
        <NavLink key={to} to={to} end className={({ isActive }) => `mr-4 font-display text-2xl sm:text-3xl ${isActive ? "" : "text-soft underline"}`}>
          {({ isActive }) => (isActive ? <h1 className="text-2xl sm:text-3xl">{label}</h1> : label)}
        </NavLink>
      ))}
    </nav>
  );
}
