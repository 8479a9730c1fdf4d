import Box from "@mui/material/Box";
import Modal from "@mui/material/Modal";
import { type KeyboardEvent, type ReactNode, useEffect, useRef } from "react";

/** A key that was on its way when it came up was not meant for it, ms. */
const YOUNG_MS = 600;

interface Props {
  label: string;
  /** Whether it warns: nothing but one of its own keys answers it. */
  warns?: boolean;
  onClose?: () => void;
  children: ReactNode;
}

/**
 * What lies over the bench until it is answered: it has the focus and the keys, and nothing behind it
 * can be reached. What has the focus first is the words, so that no key dismisses them by chance.
 */
export function Over({ label, warns = false, onClose, children }: Props) {
  const since = useRef(Infinity);
  useEffect(() => {
    since.current = performance.now();
  }, []);
  const meant = useRef(new Set<string>());
  const onKeyDown = (event: KeyboardEvent) => {
    const young = performance.now() - since.current < YOUNG_MS;
    if (event.key === "Tab") {
      return;
    }
    if (event.repeat || young) {
      event.preventDefault();
      event.stopPropagation();
    } else {
      meant.current.add(event.key);
    }
  };
  const onKeyUp = (event: KeyboardEvent) => {
    // A key lets go on a button presses it, too.
    if (event.key !== "Tab" && !meant.current.delete(event.key)) {
      event.preventDefault();
    }
  };
  return (
    <Modal
      open
      hideBackdrop
      {...(onClose && !warns ? { onClose } : {})}
      onKeyDownCapture={onKeyDown}
      onKeyUpCapture={onKeyUp}
    >
      <Box
        data-over
        role={warns ? "alertdialog" : "dialog"}
        aria-modal
        aria-label={label}
        tabIndex={-1}
        sx={{
          position: "fixed",
          inset: 0,
          bgcolor: "background.default",
          outline: 0,
          p: { xs: 2, md: 4 },
          display: "flex",
          flexDirection: "column",
          gap: 2,
          overflow: "auto",
        }}
      >
        {children}
      </Box>
    </Modal>
  );
}

/** Whether something lies over the bench. */
export function isCovered(): boolean {
  return document.querySelector("[data-over]") !== null;
}
