import type { components } from "./types.gen";

type Schemas = components["schemas"];
export type PlanAsk = Schemas["PlanAsk"];
export type PlanSheet = Schemas["PlanSheet"];
export type BrewAsk = Schemas["BrewAsk"];
export type BrewSheet = Schemas["BrewSheet"];
export type BrewLine = Schemas["BrewLine"];
export type EventDoc = Schemas["EventDoc"];
export type RecipeSheet = Schemas["RecipeSheet"];
export type Person = Schemas["Person"];
export type KitchenSheet = Schemas["KitchenSheet"];
export type DaySheet = Schemas["DaySheet"];
export type Entry = Schemas["Entry"];
export type EntryPage = Schemas["EntryPage"];
export type HerbLine = Schemas["HerbLine"];
export type HerbSheet = Schemas["HerbSheet"];
export type Source = Schemas["Source"];
export type Workings = Schemas["WorkingsLine"];
export type StepLine = Schemas["StepLine"];
export type AdditionLine = Schemas["AdditionLine"];
export type CurvePoint = Schemas["Point"];
export type CautionLine = Schemas["CautionLine"];
export type WayLine = Schemas["WayLine"];

/** A problem document of the server: what happened, what is kept, what would be right. */
export class ProblemError extends Error {
  readonly status: number;
  readonly violations: { field: string; value: string; wanted: string }[];

  constructor(status: number, title: string, detail: string, violations: ProblemError["violations"]) {
    super(detail ? `${title}. ${detail}` : title);
    this.status = status;
    this.violations = violations;
  }
}

/** The server or the network is away; nothing was refused. */
export class AwayError extends Error {
  constructor() {
    super("The kitchen server does not answer. What you confirmed is kept here and sent when it is back.");
  }
}

async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: body === undefined ? {} : { "Content-Type": "application/json" },
      body: body === undefined ? undefined : JSON.stringify(body),
      signal,
    });
  } catch (e) {
    if (e instanceof DOMException && e.name === "AbortError") throw e;
    throw new AwayError();
  }
  if (response.status === 204) return undefined as T;
  const answer = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  if (response.status >= 502 && response.status <= 504) throw new AwayError();
  throw new ProblemError(
    response.status,
    answer?.title ?? "The server refused",
    answer?.detail ?? "",
    answer?.violations ?? [],
  );
}

export const api = {
  recipes: () => call<RecipeSheet[]>("GET", "/api/recipes"),
  recipe: (id: string) => call<RecipeSheet>("GET", `/api/recipes/${id}`),
  people: () => call<Person[]>("GET", "/api/people"),
  kitchen: () => call<KitchenSheet>("GET", "/api/kitchen"),
  plan: (ask: PlanAsk, signal?: AbortSignal) => call<PlanSheet>("POST", "/api/plans", ask, signal),
  addBrew: (ask: BrewAsk) => call<BrewSheet>("POST", "/api/brews", ask),
  brew: (id: string) => call<BrewSheet>("GET", `/api/brews/${id}`),
  recordEvent: (id: string, event: EventDoc) => call<BrewSheet>("POST", `/api/brews/${id}/events`, event),
  day: (from: string, to: string) =>
    call<DaySheet>("GET", `/api/day?from=${encodeURIComponent(from)}&to=${encodeURIComponent(to)}`),
  notebook: (words: string, page: number) =>
    call<EntryPage>("GET", `/api/notebook?page=${page}${words ? `&words=${encodeURIComponent(words)}` : ""}`),
  herbs: () => call<HerbLine[]>("GET", "/api/herbs"),
  herb: (slug: string) => call<HerbSheet>("GET", `/api/herbs/${slug}`),
  sources: () => call<Source[]>("GET", "/api/sources"),
};
