// Runs before the first paint, so that a dark bench never flashes white.
(function () {
  var chosen = null;
  try {
    chosen = localStorage.getItem('kirapen.theme');
  } catch {
    /* storage may be off */
  }
  var dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
})();
