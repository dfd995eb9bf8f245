import { Dialog, Popover } from "radix-ui";
import type { ElementType, ReactNode } from "react";
import { X } from "lucide-react";
import { useColumns } from "~/components/use-columns";
import { FACT_LABELS } from "./sentences";
import type { Said } from "./sentences";

interface Props {
  readonly said: Said;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
}

/** Daubs before the words they belong to. */
function Daubs({ colours }: { colours: readonly string[] }) {
  return colours.map((colour, index) => (
    <svg key={index} width="14" height="14" viewBox="0 0 14 14" aria-hidden className="mr-1 inline align-baseline">
      <circle cx="7" cy="7" r="6" fill={colour} stroke="var(--ink)" />
    </svg>
  ));
}

/** The name of the fact, and the way out; what each is made of depends on what is open. */
function Head({ fact, title: Title, close: Close }: Pick<Said, "fact"> & { title: ElementType; close: ElementType }) {
  return (
    <div className="mb-2 flex items-center justify-between gap-2">
      <Title className="text-lg">{FACT_LABELS[fact]}</Title>
      <Close className="tool" aria-label={`Close: ${FACT_LABELS[fact]}`}>
        <X aria-hidden size={20} />
      </Close>
    </div>
  );
}

/** A part of a sentence whose choices open where it stands; on a phone, from the foot of the page. */
export function Opened({ said, open, onOpenChange, children }: Props) {
  const phone = useColumns() === 1;
  const { fact, words, soft, daubs } = said;
  const label = FACT_LABELS[fact];
  // A span and no button element: buttons are blocks, and words in them do not run on with their sentence.
  const trigger = (
    <span
      role="button"
      tabIndex={0}
      className={`said ${soft ? "said-soft" : ""}`}
      aria-label={`${label}: ${words}${soft ? ", taken as usual" : ""}`}
      data-said={fact}
      onKeyDown={(event) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        event.currentTarget.click();
      }}
    >
      <Daubs colours={daubs} />
      {words}
    </span>
  );
  if (phone)
    return (
      <Dialog.Root open={open} onOpenChange={onOpenChange}>
        <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
          <Dialog.Content aria-describedby={undefined} className="note fixed inset-x-0 bottom-0 z-20 max-h-[80dvh] overflow-y-auto p-4 pb-6">
            <Head fact={fact} title={Dialog.Title} close={Dialog.Close} />
            {children}
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    );
  return (
    <Popover.Root open={open} onOpenChange={onOpenChange}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          collisionPadding={12}
          aria-label={label}
          className="note z-20 max-h-[var(--radix-popover-content-available-height)] w-[min(26rem,92vw)] overflow-y-auto p-4 shadow-lg"
        >
          <Head fact={fact} title="h2" close={Popover.Close} />
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
