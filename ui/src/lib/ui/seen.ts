/** Says once that an element comes into sight, or near it. */
export function seen(node: Element, onseen: () => void) {
  const observer = new IntersectionObserver(
    (entries) => {
      if (!entries.some((entry) => entry.isIntersecting)) return;
      observer.disconnect();
      onseen();
    },
    { rootMargin: '200px' }
  );
  observer.observe(node);
  return { destroy: () => observer.disconnect() };
}

/** Says whenever an element comes into sight, or near it, and when it leaves. */
export function inSight(node: Element, onchange: (there: boolean) => void) {
  const observer = new IntersectionObserver((entries) => onchange(entries.at(-1)?.isIntersecting ?? false), { rootMargin: '80px' });
  observer.observe(node);
  return { destroy: () => observer.disconnect() };
}
