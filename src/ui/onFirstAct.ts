const ACTS = ['pointermove', 'pointerdown', 'keydown'] as const;

/** Runs once somebody is at the page; for what a first visit need not fetch. Returns what takes it back. */
export function onFirstAct(run: () => void): () => void {
  const leave = () => {
    for (const act of ACTS) window.removeEventListener(act, once);
  };
  const once = () => {
    leave();
    run();
  };
  for (const act of ACTS) window.addEventListener(act, once, { passive: true });
  return leave;
}
