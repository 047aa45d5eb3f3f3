import { flushSync } from 'react-dom';

/**
 * Changes a list by one of its buttons, and leaves the keyboard where it was: a row that moves or goes would take the focus with it.
 *
 * @param pressed within a row of the list
 */
export function holdingPlace(pressed: HTMLButtonElement, change: () => void) {
  const row = pressed.closest('li');
  const list = row?.parentElement;
  const at = row === null ? -1 : [...(list?.children ?? [])].indexOf(row);
  flushSync(change);
  if (pressed.isConnected && !pressed.disabled) {
    pressed.focus();
    return;
  }
  // Where the row is gone, the one that took its place.
  const now = row?.isConnected === true ? row : list?.children[Math.min(at, list.children.length - 1)];
  now?.querySelector<HTMLButtonElement>('button:enabled')?.focus();
}
