// Runs before the first paint, so that a dim shed never sees a white flash. A file of its own: the content policy allows
// no script in the page.
(function () {
  var chosen = null;
  try {
    chosen = localStorage.getItem('lobrik-theme');
  } catch {
    // Storage may be forbidden; the system's wish decides then.
  }
  var dark = window.matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = chosen || (dark ? 'shed' : 'film');
})();
