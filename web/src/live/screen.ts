import { newId } from '../api/newId';
let known: string | undefined;

/** The id of this window: the server tells it what changes, and gauges are claimed for it. It survives a reload. */
export function screenId(): string {
  const name = 'lobrik-screen';
  known ??= sessionStorage.getItem(name) ?? newId();
  sessionStorage.setItem(name, known);
  return known;
}
