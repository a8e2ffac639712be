// Before the first paint: the theme, so that a night kitchen never flashes white.
const chosen = localStorage.getItem("ember-theme");
const night = chosen ? chosen === "night" : matchMedia("(prefers-color-scheme: dark)").matches;
document.documentElement.dataset.theme = night ? "night" : "day";

// The first questions, on their way while the page's own script is still read; `ask` of api/http.ts takes the answers.
window.earlyMs = Date.now();
// How far the server's clock is ahead was remembered by api/present.ts.
const now = new Date(window.earlyMs + (Number(localStorage.getItem("ember-clock-ahead")) || 0));
// The hours that `useDay` of api/queries.ts asks for.
now.setMinutes(0, 0, 0);
const from = new Date(now.getTime() - 2 * 3600_000);
const to = new Date(now.getTime() + 24 * 3600_000);
const day = new URLSearchParams({ from: from.toISOString(), to: to.toISOString() });
const questions = [`/api/day?${day}`, "/api/kitchen"];
if (location.pathname === "/") questions.push("/api/recipes", "/api/notebook?page=0");
window.early = new Map(questions.map((path) => [path, fetch(path)]));
for (const answer of window.early.values()) answer.catch(() => {});
