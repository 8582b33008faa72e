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
