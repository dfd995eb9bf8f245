import { Tabs } from "radix-ui";
import type { ReactNode } from "react";
import { useSetParam } from "./use-set-param";

/** One look of a room, as it is called on its tab. */
export interface LookTab<L extends string> {
  readonly id: L;
  readonly name: string;
  /** On a narrow page. */
  readonly short?: string;
}

/** The look a room is in, by its address. */
export function useLook<L extends string>(looks: readonly LookTab<L>[]): readonly [L, (id: string) => void] {
  const [value, set] = useSetParam("look");
  return [looks.find(({ id }) => id === value)?.id ?? looks[0]!.id, set];
}

/** A room with several looks at the same thing: tabs over whichever is open. */
export function Looks<L extends string>({
  label,
  looks,
  look,
  show,
  parts,
  className = "",
}: {
  label: string;
  looks: readonly LookTab<L>[];
  look: L;
  show: (id: string) => void;
  parts: Readonly<Record<L, () => ReactNode>>;
  className?: string;
}) {
  return (
    <Tabs.Root value={look} onValueChange={show} className={className}>
      <Tabs.List aria-label={label} className="flex flex-wrap border-b-2 border-ink print:hidden">
        {looks.map(({ id, name, short }) => (
          <Tabs.Trigger key={id} value={id} className="tab" aria-label={name}>
            {short !== undefined && <span className="sm:hidden">{short}</span>}
            <span className={short === undefined ? "" : "max-sm:hidden"}>{name}</span>
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {looks.map(({ id, name }) => (
        <Tabs.Content key={id} value={id} className="pt-4 outline-none" data-look={id}>
          <h2 className="sr-only">{name}</h2>
          {id === look && parts[id]()}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
