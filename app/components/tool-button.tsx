import type { LucideIcon } from "lucide-react";

/** A button that is only a picture; what it does is said aloud and on hover. */
export function ToolButton({
  icon: Icon,
  label,
  title = label,
  onClick,
  disabled = false,
  repeats = false,
  className = "",
}: {
  icon: LucideIcon;
  label: string;
  title?: string;
  onClick: () => void;
  disabled?: boolean;
  /** It is meant to be pressed again and again. */
  repeats?: boolean;
  className?: string;
}) {
  return (
    <button
      type="button"
      className={`tool ${className}`}
      aria-label={label}
      title={title}
      disabled={disabled}
      {...(repeats ? { "data-repeats": true } : {})}
      onClick={onClick}
    >
      <Icon aria-hidden size={20} />
    </button>
  );
}
