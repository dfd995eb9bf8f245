import { setNonce } from "get-nonce";
import { startTransition, StrictMode } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";

// Radix writes style elements (its scroll lock); without the page's nonce the policy drops them in silence.
const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
if (nonce) setNonce(nonce);

// What is shown while a plan is worked out is kept up by deferred values; the router itself answers at once.
startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <HydratedRouter useTransitions={false} />
    </StrictMode>,
  );
});
