import { Popover } from "radix-ui";
import { useEffect, useState } from "react";
import { Bell, BellOff } from "lucide-react";
import type { Refusal } from "~/bench/alerts.client";
import { useAppContext } from "~/components/app-context";
import { Tick } from "~/components/fields";

const WHY: Readonly<Record<Exclude<Refusal, null>, { readonly notify: string; readonly awake: string }>> = {
  insecure: {
    notify: "This device opened Nook Coat over plain http, where browsers show no notes. The sound works while the page is in sight.",
    awake: "Over plain http a browser cannot keep the screen on: set the device’s own screen time longer.",
  },
  missing: { notify: "This browser shows no notes.", awake: "This browser cannot keep the screen on: set the device’s own screen time longer." },
  denied: { notify: "You have forbidden notes here; allow them in the browser’s settings for this page.", awake: "" },
};

/** How the Bench may call: by choice, each told plainly where the device will not. */
export function TellMe() {
  const { settings, saveSettings } = useAppContext();
  const [refused, setRefused] = useState<{ readonly notify: Refusal; readonly awake: Refusal }>({ notify: null, awake: null });
  const [open, setOpen] = useState(false);
  useEffect(() => {
    if (!open) return;
    let current = true;
    void import("~/bench/alerts.client").then(({ notifyRefused, awakeRefused }) => current && setRefused({ notify: notifyRefused(), awake: awakeRefused() }));
    return () => {
      current = false;
    };
  }, [open]);
  const notify = async (on: boolean) => {
    if (!on) return saveSettings({ notify: false });
    const { askToNotify, notifyRefused } = await import("~/bench/alerts.client");
    if (await askToNotify()) saveSettings({ notify: true });
    else setRefused((before) => ({ ...before, notify: notifyRefused() ?? "denied" }));
  };
  const on = settings.sounds || settings.notify;
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="button">{on ? <Bell aria-hidden size={20} /> : <BellOff aria-hidden size={20} />} Call me</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={12}
          aria-label="How the Bench calls"
          className="note z-20 grid w-[min(24rem,92vw)] gap-2 p-4 shadow-lg"
        >
          <Tick name="Two soft notes when a wait has ended" on={settings.sounds} onChange={(sounds) => saveSettings({ sounds })} />
          <Tick name="A note on this device" on={settings.notify && refused.notify === null} onChange={(wanted) => void notify(wanted)} />
          {refused.notify && (
            <p role="status" className="text-soft">
              {WHY[refused.notify].notify}
            </p>
          )}
          <Tick name="Keep the screen on while the Bench is open" on={settings.awake && refused.awake === null} onChange={(awake) => saveSettings({ awake })} />
          {refused.awake && (
            <p role="status" className="text-soft">
              {WHY[refused.awake].awake}
            </p>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
