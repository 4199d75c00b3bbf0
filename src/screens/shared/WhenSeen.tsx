import { useEffect, useRef } from 'react';

/** A line without height at the end of a list: says once that it came into sight, or close to it. */
export function WhenSeen({ onSeen }: { onSeen: () => void }) {
  const line = useRef<HTMLDivElement>(null);
  const latest = useRef(onSeen);
  useEffect(() => {
    latest.current = onSeen;
  });
  useEffect(() => {
    if (!line.current) return;
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) latest.current();
      },
      { rootMargin: '600px' },
    );
    observer.observe(line.current);
    return () => observer.disconnect();
  }, []);
  return <div ref={line} />;
}
