// Before the first paint, so that a night kitchen never flashes white.
const chosen = localStorage.getItem("ember-theme");
const night = chosen ? chosen === "night" : matchMedia("(prefers-color-scheme: dark)").matches;
document.documentElement.dataset.theme = night ? "night" : "day";
