import { http, sent, told } from "./http";
import type {
  BlendRequest,
  BrewRequest,
  BurnerRequest,
  CalibrationRequest,
  CourseRequest,
  CupRequest,
  EventRequest,
  Held,
  ImportResponse,
  LaterCupAsk,
  MineRequest,
  MixRequest,
  NotebookRequest,
  OrderRequest,
  OwnHerbDocument,
  PersonRequest,
  PlaceRequest,
  ReadRequest,
  RecipeDocument,
  RecipeRequest,
  TinRequest,
  TinsResponse,
  VesselRequest,
} from "./shapes";

export { AwayError, keptInstead, ProblemError, wrongOf } from "./http";
export type * from "./shapes";

const by = (id: string) => ({ params: { path: { id } } });

/** Every question and every change, by what the kitchen calls it. */
export const api = {
  recipes: () => told(http.GET("/api/recipes")),
  starters: () => told(http.GET("/api/recipes/starters")),
  recipe: (id: string) => told(http.GET("/api/recipes/{id}", by(id))),
  people: () => told(http.GET("/api/people")),
  kitchen: () => told(http.GET("/api/kitchen")),
  plan: (body: OrderRequest, signal?: AbortSignal) => told(http.POST("/api/plans", { body, signal })),
  addBrew: (body: BrewRequest) => told(http.POST("/api/brews", { body })),
  /** Why the numbers of a plan are what they are. */
  planWorkings: async (order: OrderRequest) =>
    (await told(http.POST("/api/plans", { body: { ...order, workings: true } }))).workings,
  brewWorkings: (id: string) => told(http.GET("/api/brews/{id}/workings", by(id))),
  brew: (id: string) => told(http.GET("/api/brews/{id}", by(id))),
  recordEvent: (id: string, body: EventRequest) =>
    told(http.POST("/api/brews/{id}/events", { ...by(id), body })),
  day: (from: string, to: string) => told(http.GET("/api/day", { params: { query: { from, to } } })),
  notebook: ({ page, words, drinker, liking, recipeId }: NotebookRequest) =>
    told(
      http.GET("/api/notebook", {
        params: {
          query: {
            page,
            words: words || undefined,
            drinker: drinker || undefined,
            liking: liking || undefined,
            recipeId: recipeId || undefined,
          },
        },
      }),
    ),
  history: (recipeId: string) =>
    told(http.GET("/api/notebook/history/{recipeId}", { params: { path: { recipeId } } })),
  holdTo: (question: string, choice: string | undefined) =>
    told(http.PUT("/api/kitchen/schools/{question}", { params: { path: { question } }, body: { choice } })),
  learned: () => told(http.GET("/api/learned")),
  changeLearned: (body: { what: string; used?: boolean; forget?: boolean }) =>
    told(http.POST("/api/learned", { body })),
  commandScale: (body: { command: "tare" | "put" | "take"; grams?: number }) =>
    told(http.POST("/api/devices/scale", { body })),
  /** Puts a brew into the simulated kitchen, or changes how fast its clock runs. */
  simulate: (brewId: string, speed: number) =>
    told(http.POST("/api/devices/kitchen/{brewId}", { params: { path: { brewId } }, body: { speed } })),
  keepPhoto: (id: string, photo: Blob) =>
    told(
      http.PUT("/api/brews/{id}/photo", {
        ...by(id),
        body: "",
        bodySerializer: () => photo,
        headers: { "Content-Type": "application/octet-stream" },
      }),
    ),
  removePhoto: (id: string) => told(http.DELETE("/api/brews/{id}/photo", by(id))),
  findHerbs: (q: string) => told(http.GET("/api/herbs", { params: { query: { q } } })),
  keepRecipe: (id: string | undefined, body: RecipeRequest) =>
    id ? told(http.PUT("/api/recipes/{id}", { ...by(id), body })) : told(http.POST("/api/recipes", { body })),
  removeRecipe: (id: string) => told(http.DELETE("/api/recipes/{id}", by(id))),
  versions: (id: string) => told(http.GET("/api/recipes/{id}/versions", by(id))),
  propose: (recipe: RecipeDocument) => told(http.POST("/api/recipes/propose", { body: { recipe } })),
  blend: (body: BlendRequest) => told(http.POST("/api/recipes/blend", { body })),
  readRecipe: (body: ReadRequest) => told(http.POST("/api/recipes/read", { body })),
  /** The recipes of a saved page or text. */
  courses: () => told(http.GET("/api/courses")),
  course: (id: string) => told(http.GET("/api/courses/{id}", by(id))),
  previewCourse: (body: CourseRequest, signal?: AbortSignal) =>
    told(http.POST("/api/courses/preview", { body, signal })),
  beginCourse: (body: CourseRequest) => told(http.POST("/api/courses", { body })),
  changeCourse: (id: string, body: CourseRequest) => told(http.PUT("/api/courses/{id}", { ...by(id), body })),
  endCourse: (id: string, why: "better" | "stopped" | undefined) =>
    why
      ? told(http.POST("/api/courses/{id}/end", { ...by(id), body: { why } }))
      : told(http.DELETE("/api/courses/{id}/end", by(id))),
  drinkCup: (id: string, body: CupRequest) => told(http.POST("/api/courses/{id}/cups", { ...by(id), body })),
  takeCupBack: (id: string, cupId: string) =>
    told(http.DELETE("/api/courses/{id}/cups/{cupId}", { params: { path: { id, cupId } } })),
  removeCourse: (id: string) => told(http.DELETE("/api/courses/{id}", by(id))),
  share: (id: string) => told(http.GET("/api/recipes/{id}/share", by(id))),
  changeTin: (id: string, body: TinRequest) => told(http.PUT("/api/shelf/{id}", { ...by(id), body })),
  week: (days: number) => told(http.GET("/api/week", { params: { query: { days } } })),
  keptOfPerson: (id: string) => told(http.GET("/api/household/people/{id}", by(id))),
  readTins: (file: Blob, keep: boolean) =>
    sent<TinsResponse>(`/api/shelf/file?keep=${keep}`, file, "text/csv"),
  calendarAddress: () => told(http.GET("/api/household/calendar-address")),
  renewCalendar: () => told(http.POST("/api/household/calendar-address")),
  closeCalendar: () => told(http.DELETE("/api/household/calendar-address")),
  household: () => told(http.GET("/api/household")),
  /** Brings a household that was saved back into this empty one. */
  restore: (file: Blob) => sent<Held>("/api/household/restore", file, "application/zip"),
  importRecipes: (file: Blob, type: string) => sent<ImportResponse>("/api/recipes/import", file, type),
  occasions: () => told(http.GET("/api/recipes/occasions")),
  lacking: () => told(http.GET("/api/keeping/lacking")),
  marks: (drinkerId: string) => told(http.GET("/api/plans/marks", { params: { query: { drinkerId } } })),
  schools: () => told(http.GET("/api/plans/schools")),
  oneCook: (plans: OrderRequest[]) => told(http.POST("/api/plans/day", { body: { plans } })),
  keepPerson: (id: string | undefined, body: PersonRequest) =>
    id ? told(http.PUT("/api/people/{id}", { ...by(id), body })) : told(http.POST("/api/people", { body })),
  /** Off the list; `forget` takes name and conditions out of old brews and notes too. */
  removePerson: ({ id, forget }: { id: string; forget: boolean }) =>
    told(http.DELETE("/api/people/{id}", { params: { path: { id }, query: { forget } } })),
  removeBrew: (id: string) => told(http.DELETE("/api/brews/{id}", by(id))),
  keepPlace: (body: PlaceRequest) => told(http.PUT("/api/kitchen", { body })),
  keepVessel: (id: string | undefined, body: VesselRequest) =>
    id
      ? told(http.PUT("/api/kitchen/vessels/{id}", { ...by(id), body }))
      : told(http.POST("/api/kitchen/vessels", { body })),
  removeVessel: (id: string) => told(http.DELETE("/api/kitchen/vessels/{id}", by(id))),
  keepBurner: (id: string | undefined, body: BurnerRequest) =>
    id
      ? told(http.PUT("/api/kitchen/burners/{id}", { ...by(id), body }))
      : told(http.POST("/api/kitchen/burners", { body })),
  removeBurner: (id: string) => told(http.DELETE("/api/kitchen/burners/{id}", by(id))),
  calibrate: (id: string, body: CalibrationRequest) =>
    told(http.POST("/api/kitchen/burners/{id}/calibrate", { ...by(id), body })),
  keeping: () => told(http.GET("/api/keeping")),
  laterCup: (brewId: string, cup: LaterCupAsk) =>
    told(http.GET("/api/keeping/jars/{brewId}/cup", { params: { path: { brewId }, query: cup } })),
  shelf: () => told(http.GET("/api/shelf")),
  putTin: (body: TinRequest) => told(http.POST("/api/shelf", { body })),
  planMix: (body: MixRequest) => told(http.POST("/api/shelf/mixes/plan", { body })),
  mix: (body: MixRequest) => told(http.POST("/api/shelf/mixes", { body })),
  undoMix: (id: string) => told(http.DELETE("/api/shelf/mixes/{id}", by(id))),
  sayOfRecipe: (id: string, body: MineRequest) =>
    told(http.PUT("/api/recipes/{id}/mine", { ...by(id), body })),
  removeTin: (id: string) => told(http.DELETE("/api/shelf/{id}", by(id))),
  ownHerb: async (slug: string) =>
    (await told(http.GET("/api/herbs/{slug}/own", { params: { path: { slug } } }))) ?? null,
  keepOwnHerb: (slug: string, body: OwnHerbDocument) =>
    told(http.PUT("/api/herbs/{slug}/own", { params: { path: { slug } }, body })),
  /** A herb that is still used somewhere is refused, and can be put away. */
  forgetOwnHerb: (slug: string, retire = false) =>
    told(http.DELETE("/api/herbs/{slug}/own", { params: { path: { slug }, query: { retire } } })),
  herbs: () => told(http.GET("/api/herbs")),
  herb: (slug: string) => told(http.GET("/api/herbs/{slug}", { params: { path: { slug } } })),
  sources: () => told(http.GET("/api/sources")),
  me: () => told(http.GET("/api/door/me")),
  pair: (body: { code: string; name: string }) => told(http.POST("/api/door/pair", { body })),
  makeCode: (role: "cook" | "helper") => told(http.POST("/api/door/codes", { body: { role } })),
  devices: () => told(http.GET("/api/door/devices")),
  renameDevice: (id: string, body: { version: number; name: string }) =>
    told(http.PUT("/api/door/devices/{id}", { ...by(id), body })),
  /** One device, or every one. */
  revoke: (id: string | undefined) =>
    id ? told(http.DELETE("/api/door/devices/{id}", by(id))) : told(http.DELETE("/api/door/devices")),
  doorAudit: () => told(http.GET("/api/door/audit")),
};
