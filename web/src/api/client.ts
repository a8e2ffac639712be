import { heard } from "./present";
import type { components } from "./types.gen";

type Schemas = components["schemas"];
export type OrderRequest = Schemas["OrderRequest"];
export type PlanResponse = Schemas["PlanResponse"];
export type BrewRequest = Schemas["BrewRequest"];
export type BrewResponse = Schemas["BrewResponse"];
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
export type RecipeResponse = Schemas["RecipeResponse"];
export type Person = Schemas["Person"];
export type KitchenResponse = Schemas["KitchenResponse"];
export type DayResponse = Schemas["DayResponse"];
export type Entry = Schemas["Entry"];
export type EntryPage = Schemas["EntryPage"];
export type HerbLine = Schemas["HerbLine"];
export type HerbResponse = Schemas["HerbResponse"];
export type Source = Schemas["Source"];
export type Workings = Schemas["WorkingsLine"];
/** A step, or a piece of one from where a hand turned lid or flame. */
export type { StageLine, StepLine } from "./steps";
export type AdditionLine = Schemas["AdditionLine"];
export type CurvePoint = Schemas["Point"];
export type CautionLine = Schemas["CautionLine"];
export type WayLine = Schemas["WayLine"];
export type RecipeDocument = Schemas["RecipeDocument"];
export type AdditionDocument = Schemas["AdditionDocument"];
export type StageDocument = Schemas["StageDocument"];
export type RecipeRequest = Schemas["RecipeRequest"];
export type RecipeVersion = Schemas["RecipeVersion"];
export type ProposalResponse = Schemas["ProposalResponse"];
export type BlendResponse = Schemas["BlendResponse"];
export type BlendRequest = Schemas["BlendRequest"];
export type WrittenResponse = Schemas["WrittenResponse"];
export type PersonRequest = Schemas["PersonRequest"];
export type PlaceRequest = Schemas["PlaceRequest"];
export type VesselRequest = Schemas["VesselRequest"];
export type VesselResponse = Schemas["VesselResponse"];
export type BurnerRequest = Schemas["BurnerRequest"];
export type BurnerResponse = Schemas["BurnerResponse"];
export type CalibrationRequest = Schemas["CalibrationRequest"];
export type CalibrationResponse = Schemas["CalibrationResponse"];
export type Tin = Schemas["Tin"];
export type TinRequest = Schemas["TinRequest"];
export type OwnHerbDocument = Schemas["OwnHerbDocument"];
export type MarkLine = Schemas["MarkLine"];
export type SchoolResponse = Schemas["SchoolResponse"];
export type LearnedResponse = Schemas["LearnedResponse"];
export type OneCookResponse = Schemas["OneCookResponse"];

/** Which lines of the notebook are wanted. */
export interface NotebookRequest {
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
  recipes: () => call<RecipeResponse[]>("GET", "/api/recipes"),
  recipe: (id: string) => call<RecipeResponse>("GET", `/api/recipes/${id}`),
  people: () => call<Person[]>("GET", "/api/people"),
  kitchen: () => call<KitchenResponse>("GET", "/api/kitchen"),
  plan: (ask: OrderRequest, signal?: AbortSignal) => call<PlanResponse>("POST", "/api/plans", ask, signal),
  addBrew: (ask: BrewRequest) => call<BrewResponse>("POST", "/api/brews", ask),
  /** Why the numbers of a plan are what they are. */
  planWorkings: (ask: OrderRequest) =>
    call<PlanResponse>("POST", "/api/plans", { ...ask, workings: true }).then((plan) => plan.workings),
  brewWorkings: (id: string) => call<Record<string, Workings>>("GET", `/api/brews/${id}/workings`),
  brew: (id: string) => call<BrewResponse>("GET", `/api/brews/${id}`),
  recordEvent: (id: string, event: EventRequest) =>
    call<BrewResponse>("POST", `/api/brews/${id}/events`, event),
  day: (from: string, to: string) =>
    call<DayResponse>("GET", `/api/day?${new URLSearchParams({ from, to })}`),
  notebook: (ask: NotebookRequest) => {
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
  learned: () => call<LearnedResponse[]>("GET", "/api/learned"),
  changeLearned: (ask: { what: string; used?: boolean; forget?: boolean }) =>
    call<void>("POST", "/api/learned", ask),
  commandScale: (ask: { command: "tare" | "put" | "take"; grams?: number }) =>
    call<unknown>("POST", "/api/devices/scale", ask),
  /** Puts a brew into the simulated kitchen, or changes how fast its clock runs. */
  simulate: (brewId: string, speed: number) =>
    call<BrewResponse>("POST", `/api/devices/kitchen/${brewId}`, { speed }),
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
  keepRecipe: (id: string | undefined, draft: RecipeRequest) =>
    id
      ? call<RecipeResponse>("PUT", `/api/recipes/${id}`, draft)
      : call<RecipeResponse>("POST", "/api/recipes", draft),
  removeRecipe: (id: string) => call<void>("DELETE", `/api/recipes/${id}`),
  versions: (id: string) => call<RecipeVersion[]>("GET", `/api/recipes/${id}/versions`),
  propose: (recipe: RecipeDocument) => call<ProposalResponse>("POST", "/api/recipes/propose", { recipe }),
  blend: (ask: BlendRequest) => call<BlendResponse>("POST", "/api/recipes/blend", ask),
  readRecipe: (text: string) => call<WrittenResponse>("POST", "/api/recipes/read", { text }),
  occasions: () => call<string[]>("GET", "/api/recipes/occasions"),
  marks: (drinkerId: string) => call<MarkLine[]>("GET", `/api/plans/marks?drinkerId=${drinkerId}`),
  schools: () => call<SchoolResponse[]>("GET", "/api/plans/schools"),
  oneCook: (plans: OrderRequest[]) => call<OneCookResponse>("POST", "/api/plans/day", { plans }),
  keepPerson: (id: string | undefined, draft: PersonRequest) =>
    id ? call<Person>("PUT", `/api/people/${id}`, draft) : call<Person>("POST", "/api/people", draft),
  removePerson: (id: string) => call<void>("DELETE", `/api/people/${id}`),
  keepPlace: (draft: PlaceRequest) => call<KitchenResponse>("PUT", "/api/kitchen", draft),
  keepVessel: (id: string | undefined, draft: VesselRequest) =>
    id
      ? call<VesselResponse>("PUT", `/api/kitchen/vessels/${id}`, draft)
      : call<VesselResponse>("POST", "/api/kitchen/vessels", draft),
  removeVessel: (id: string) => call<void>("DELETE", `/api/kitchen/vessels/${id}`),
  keepBurner: (id: string | undefined, draft: BurnerRequest) =>
    id
      ? call<BurnerResponse>("PUT", `/api/kitchen/burners/${id}`, draft)
      : call<BurnerResponse>("POST", "/api/kitchen/burners", draft),
  removeBurner: (id: string) => call<void>("DELETE", `/api/kitchen/burners/${id}`),
  calibrate: (id: string, draft: CalibrationRequest) =>
    call<CalibrationResponse>("POST", `/api/kitchen/burners/${id}/calibrate`, draft),
  shelf: () => call<Tin[]>("GET", "/api/shelf"),
  putTin: (draft: TinRequest) => call<Tin>("POST", "/api/shelf", draft),
  removeTin: (id: string) => call<void>("DELETE", `/api/shelf/${id}`),
  ownHerb: (slug: string) =>
    call<OwnHerbDocument | undefined>("GET", `/api/herbs/${slug}/own`).then((own) => own ?? null),
  keepOwnHerb: (slug: string, doc: OwnHerbDocument) =>
    call<HerbResponse>("PUT", `/api/herbs/${slug}/own`, doc),
  /** A herb that is still used somewhere is refused, and can be put away. */
  forgetOwnHerb: (slug: string, retire = false) =>
    call<void>("DELETE", `/api/herbs/${slug}/own?retire=${retire}`),
  herbs: () => call<HerbLine[]>("GET", "/api/herbs"),
  herb: (slug: string) => call<HerbResponse>("GET", `/api/herbs/${slug}`),
  sources: () => call<Source[]>("GET", "/api/sources"),
};
