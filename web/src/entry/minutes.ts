/** So many seconds as people say them: `2 min 30 s`, `45 s`. */
export function minutes(seconds: number): string {
  const whole = Math.floor(seconds / 60);
  const rest = seconds % 60;
  return [whole > 0 ? `${String(whole)} min` : '', rest > 0 || whole === 0 ? `${String(rest)} s` : '']
    .filter((part) => part !== '')
    .join(' ');
}

/** A clock that runs down: `2:05`. */
export function clock(seconds: number): string {
  return `${String(Math.floor(seconds / 60))}:${String(seconds % 60).padStart(2, '0')}`;
}
