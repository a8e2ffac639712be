import { heard } from "./present";
import type { components } from "./types.gen";

type Schemas = components["schemas"];
export type PlanAsk = Schemas["PlanAsk"];
export type PlanSheet = Schemas["PlanSheet"];
export type BrewAsk = Schemas["BrewAsk"];
export type BrewSheet = Schemas["BrewSheet"];
export type BrewLine = Schemas["BrewLine"];
export type TurnedRequest = Schemas["TurnedRequest"];
export type NotedRequest = Schemas["NotedRequest"];
export type MeasuredRequest = Schemas["MeasuredRequest"];
interface Kinds {
  started: Schemas["StartedRequest"];
  "step-done": Schemas["StepDoneRequest"];
  turned: TurnedRequest;
  measured: MeasuredRequest;
  poured: Schemas["PouredRequest"];
  noted: NotedRequest;
  undone: Schemas["UndoneRequest"];
  finished: Schemas["FinishedRequest"];
  abandoned: Schemas["AbandonedRequest"];
}
/** Something that happened: one shape for each kind. */
export type EventRequest = { [K in keyof Kinds]: Omit<Kinds[K], "kind"> & { kind: K } }[keyof Kinds];
type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;
/** The same before it has an id and an age. */
export type Told = Without<EventRequest, "id" | "ageS">;
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
/** A step, or a piece of one from where a hand turned lid or flame. */
export type StepLine = Omit<Schemas["StepLine"], "kind"> & { kind: Schemas["StepLine"]["kind"] | "turned" };
export type AdditionLine = Schemas["AdditionLine"];
export type CurvePoint = Schemas["Point"];
export type CautionLine = Schemas["CautionLine"];
export type WayLine = Schemas["WayLine"];
export type RecipeDoc = Schemas["RecipeDoc"];
export type AdditionDoc = Schemas["AdditionDoc"];
export type StageDoc = Schemas["StageDoc"];
export type RecipeDraft = Schemas["RecipeDraft"];
export type RecipeVersion = Schemas["RecipeVersion"];
export type ProposalSheet = Schemas["ProposalSheet"];
export type BlendSheet = Schemas["BlendSheet"];
export type BlendAsk = Schemas["BlendAsk"];
export type WrittenSheet = Schemas["WrittenSheet"];
export type PersonDraft = Schemas["PersonDraft"];
export type PlaceDraft = Schemas["PlaceDraft"];
export type VesselDraft = Schemas["VesselDraft"];
export type VesselSheet = Schemas["VesselSheet"];
export type BurnerDraft = Schemas["BurnerDraft"];
export type BurnerSheet = Schemas["BurnerSheet"];
export type CalibrationDraft = Schemas["CalibrationDraft"];
export type CalibrationSheet = Schemas["CalibrationSheet"];
export type Tin = Schemas["Tin"];
export type TinDraft = Schemas["TinDraft"];
export type OwnHerbDoc = Schemas["OwnHerbDoc"];
export type MarkLine = Schemas["MarkLine"];
export type SchoolSheet = Schemas["SchoolSheet"];
export type LearnedSheet = Schemas["LearnedSheet"];
export type OneCookSheet = Schemas["OneCookSheet"];

/** Which lines of the notebook are wanted. */
export interface NotebookAsk {
  page: number;
  words?: string;
  drinker?: string;
  liking?: number;
  recipeId?: string;
}

/** A problem document of the server: what happened, what is kept, what would be right. */
export class ProblemError extends Error {
  readonly status: number;
  readonly violations: { field: string; value: string; wanted: string }[];
  /** What the server keeps instead of a stale change. */
  readonly kept: unknown;
  /** Names the kind of problem. */
  readonly type: string;

  constructor(
    status: number,
    title: string,
    detail: string,
    violations: ProblemError["violations"],
    kept?: unknown,
    type = "about:blank",
  ) {
    super(detail ? `${title}. ${detail}` : title);
    this.status = status;
    this.violations = violations;
    this.kept = kept;
    this.type = type;
  }
}

/** The server or the network is away; nothing was refused. */
export class AwayError extends Error {
  constructor() {
    super("The kitchen server does not answer. What you confirmed is kept here and sent when it is back.");
  }
}

declare global {
  interface Window {
    /** Questions that `first.js` asked before this script was read, by their path. */
    early?: Map<string, Promise<Response>>;
    /** When it asked them, ms of the browser's clock. */
    earlyMs: number;
  }
}

/** An answer that was asked for before the page's script ran; each is used once. */
function takeEarly(method: string, path: string): Promise<Response> | undefined {
  const answer = method === "GET" ? window.early?.get(path) : undefined;
  window.early?.delete(path);
  return answer;
}

async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  let response: Response;
  const early = takeEarly(method, path);
  const askedMs = early ? window.earlyMs : Date.now();
  try {
    response = await (early ??
      fetch(path, {
        method,
        headers: body === undefined ? {} : { "Content-Type": "application/json" },
        body: body === undefined ? undefined : JSON.stringify(body),
        signal,
      }));
  } catch (e) {
    if (e instanceof DOMException && e.name === "AbortError") throw e;
    throw new AwayError();
  }
  heard(response, askedMs, Date.now());
  if (response.status === 204) return undefined as T;
  const answer = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  if (response.status >= 502 && response.status <= 504) throw new AwayError();
  throw new ProblemError(
    response.status,
    answer?.title ?? "The server refused",
    answer?.detail ?? "",
    answer?.violations ?? [],
    answer?.current,
    answer?.type,
  );
}

export const api = {
  recipes: () => call<RecipeSheet[]>("GET", "/api/recipes"),
  recipe: (id: string) => call<RecipeSheet>("GET", `/api/recipes/${id}`),
  people: () => call<Person[]>("GET", "/api/people"),
  kitchen: () => call<KitchenSheet>("GET", "/api/kitchen"),
  plan: (ask: PlanAsk, signal?: AbortSignal) => call<PlanSheet>("POST", "/api/plans", ask, signal),
  addBrew: (ask: BrewAsk) => call<BrewSheet>("POST", "/api/brews", ask),
  /** Why the numbers of a plan are what they are. */
  planWorkings: (ask: PlanAsk) =>
    call<PlanSheet>("POST", "/api/plans", { ...ask, workings: true }).then((plan) => plan.workings),
  brewWorkings: (id: string) => call<Record<string, Workings>>("GET", `/api/brews/${id}/workings`),
  brew: (id: string) => call<BrewSheet>("GET", `/api/brews/${id}`),
  recordEvent: (id: string, event: EventRequest) => call<BrewSheet>("POST", `/api/brews/${id}/events`, event),
  day: (from: string, to: string) => call<DaySheet>("GET", `/api/day?${new URLSearchParams({ from, to })}`),
  notebook: (ask: NotebookAsk) => {
    const query = new URLSearchParams({ page: String(ask.page) });
    if (ask.words) query.set("words", ask.words);
    if (ask.drinker) query.set("drinker", ask.drinker);
    if (ask.liking) query.set("liking", String(ask.liking));
    if (ask.recipeId) query.set("recipeId", ask.recipeId);
    return call<EntryPage>("GET", `/api/notebook?${query}`);
  },
  history: (recipeId: string) => call<Entry[]>("GET", `/api/notebook/history/${recipeId}`),
  holdTo: (question: string, choice: string | undefined) =>
    call<Record<string, string>>("PUT", `/api/kitchen/schools/${question}`, { choice }),
  learned: () => call<LearnedSheet[]>("GET", "/api/learned"),
  changeLearned: (ask: { what: string; used?: boolean; forget?: boolean }) =>
    call<void>("POST", "/api/learned", ask),
  commandScale: (ask: { command: "tare" | "put" | "take"; grams?: number }) =>
    call<unknown>("POST", "/api/devices/scale", ask),
  /** Puts a brew into the simulated kitchen, or changes how fast its clock runs. */
  simulate: (brewId: string, speed: number) =>
    call<BrewSheet>("POST", `/api/devices/kitchen/${brewId}`, { speed }),
  keepPhoto: async (brewId: string, photo: Blob) => {
    const response = await fetch(`/api/brews/${brewId}/photo`, {
      method: "PUT",
      headers: { "Content-Type": "application/octet-stream" },
      body: photo,
    });
    if (!response.ok) {
      const answer = await response.json().catch(() => null);
      throw new ProblemError(
        response.status,
        answer?.title ?? "The photo was refused",
        answer?.detail ?? "",
        [],
      );
    }
  },
  removePhoto: (brewId: string) => call<void>("DELETE", `/api/brews/${brewId}/photo`),
  findHerbs: (words: string) => call<HerbLine[]>("GET", `/api/herbs?q=${encodeURIComponent(words)}`),
  keepRecipe: (id: string | undefined, draft: RecipeDraft) =>
    id
      ? call<RecipeSheet>("PUT", `/api/recipes/${id}`, draft)
      : call<RecipeSheet>("POST", "/api/recipes", draft),
  removeRecipe: (id: string) => call<void>("DELETE", `/api/recipes/${id}`),
  versions: (id: string) => call<RecipeVersion[]>("GET", `/api/recipes/${id}/versions`),
  propose: (recipe: RecipeDoc) => call<ProposalSheet>("POST", "/api/recipes/propose", { recipe }),
  blend: (ask: BlendAsk) => call<BlendSheet>("POST", "/api/recipes/blend", ask),
  readRecipe: (text: string) => call<WrittenSheet>("POST", "/api/recipes/read", { text }),
  occasions: () => call<string[]>("GET", "/api/recipes/occasions"),
  marks: (drinkerId: string) => call<MarkLine[]>("GET", `/api/plans/marks?drinkerId=${drinkerId}`),
  schools: () => call<SchoolSheet[]>("GET", "/api/plans/schools"),
  oneCook: (plans: PlanAsk[]) => call<OneCookSheet>("POST", "/api/plans/day", { plans }),
  keepPerson: (id: string | undefined, draft: PersonDraft) =>
    id ? call<Person>("PUT", `/api/people/${id}`, draft) : call<Person>("POST", "/api/people", draft),
  removePerson: (id: string) => call<void>("DELETE", `/api/people/${id}`),
  keepPlace: (draft: PlaceDraft) => call<KitchenSheet>("PUT", "/api/kitchen", draft),
  keepVessel: (id: string | undefined, draft: VesselDraft) =>
    id
      ? call<VesselSheet>("PUT", `/api/kitchen/vessels/${id}`, draft)
      : call<VesselSheet>("POST", "/api/kitchen/vessels", draft),
  removeVessel: (id: string) => call<void>("DELETE", `/api/kitchen/vessels/${id}`),
  keepBurner: (id: string | undefined, draft: BurnerDraft) =>
    id
      ? call<BurnerSheet>("PUT", `/api/kitchen/burners/${id}`, draft)
      : call<BurnerSheet>("POST", "/api/kitchen/burners", draft),
  removeBurner: (id: string) => call<void>("DELETE", `/api/kitchen/burners/${id}`),
  calibrate: (id: string, draft: CalibrationDraft) =>
    call<CalibrationSheet>("POST", `/api/kitchen/burners/${id}/calibrate`, draft),
  shelf: () => call<Tin[]>("GET", "/api/shelf"),
  putTin: (draft: TinDraft) => call<Tin>("POST", "/api/shelf", draft),
  removeTin: (id: string) => call<void>("DELETE", `/api/shelf/${id}`),
  ownHerb: (slug: string) =>
    call<OwnHerbDoc | undefined>("GET", `/api/herbs/${slug}/own`).then((own) => own ?? null),
  keepOwnHerb: (slug: string, doc: OwnHerbDoc) => call<HerbSheet>("PUT", `/api/herbs/${slug}/own`, doc),
  /** A herb that is still used somewhere is refused, and can be put away. */
  forgetOwnHerb: (slug: string, retire = false) =>
    call<void>("DELETE", `/api/herbs/${slug}/own?retire=${retire}`),
  herbs: () => call<HerbLine[]>("GET", "/api/herbs"),
  herb: (slug: string) => call<HerbSheet>("GET", `/api/herbs/${slug}`),
  sources: () => call<Source[]>("GET", "/api/sources"),
};
