import { useEffect } from 'react';
import { useNavigate } from 'react-router';

/** Alt with 1, 2, 3 … goes to a place; outside a field the stroke finds somebody, and the question mark opens the help. */
export function useShortcuts(places: readonly string[], onFind: () => void, onHelp: () => void): void {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const place = places[Number(event.key) - 1];
      if (event.altKey && place !== undefined) {
        event.preventDefault();
        void navigate(place);
      } else if (event.key === '/' && !event.ctrlKey && !event.metaKey && !isTyping(event.target)) {
        event.preventDefault();
        onFind();
      } else if (event.key === '?' && !isTyping(event.target)) {
        onHelp();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  });
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLInputElement || target instanceof HTMLSelectElement || target instanceof HTMLTextAreaElement
  );
}
