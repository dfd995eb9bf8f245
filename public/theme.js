// Before the first paint: the theme she chose last.
try {
  const theme = localStorage.getItem("nook-coat-theme");
  if (theme) document.documentElement.dataset.theme = theme;
} catch {
  // Nothing is kept here: the system's theme.
}
