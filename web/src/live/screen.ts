/** The id of this window: the server tells it what changes, and gauges are claimed for it. It survives a reload. */
export const SCREEN_ID: string = (() => {
  const name = 'lobrik-screen';
  const known = sessionStorage.getItem(name);
  if (known !== null) {
    return known;
  }
  const id = crypto.randomUUID();
  sessionStorage.setItem(name, id);
  return id;
})();
