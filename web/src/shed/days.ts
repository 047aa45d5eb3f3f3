/** A day and a time, as short as they can be told apart. */
export function moment(at: string): string {
  return new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
}

export function day(at: string): string {
  return new Date(at).toLocaleDateString([], { dateStyle: 'medium' });
}
