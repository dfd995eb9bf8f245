import type { LucideIcon } from "lucide-react";

/** A button that is only a picture; what it does is said aloud and on hover. */
export function ToolButton({
  icon: Icon,
  label,
  title = label,
  onClick,
  disabled = false,
  pressed,
  className = "",
}: {
  icon: LucideIcon;
  label: string;
  title?: string;
  onClick: () => void;
  disabled?: boolean;
  /** For a button that stays down. */
  pressed?: boolean;
  className?: string;
}) {
  return (
    <button type="button" className={`tool ${className}`} aria-label={label} aria-pressed={pressed} title={title} disabled={disabled} onClick={onClick}>
      <Icon aria-hidden size={20} />
    </button>
  );
}
