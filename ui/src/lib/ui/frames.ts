/** When the next frame begins. */
export const nextFrame = () => new Promise<number>(requestAnimationFrame);

/** Runs a step when the frame that now waits to be painted has been; the way to call it off comes back. */
export function afterPaint(step: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const frame = requestAnimationFrame(() => (timer = setTimeout(step)));
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
