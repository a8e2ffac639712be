import type { components, operations } from "./types.gen";

type Schemas = components["schemas"];
export type OrderRequest = Schemas["OrderRequest"];
export type PlanResponse = Schemas["PlanResponse"];
export type BrewRequest = Schemas["BrewRequest"];
export type BrewResponse = Schemas["BrewResponse"];
export type BrewLine = Schemas["BrewLine"];
export type TurnedRequest = Schemas["TurnedRequest"];
export type NotedRequest = Schemas["NotedRequest"];
export type MeasuredRequest = Schemas["MeasuredRequest"];
/** Something that happened: one shape for each kind. */
export type EventRequest = Schemas["EventRequest"];
type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;
/** The same before it has an id and an age. */
export type Told = Without<EventRequest, "id" | "ageS">;
export type RecipeResponse = Schemas["RecipeResponse"];
export type Person = Schemas["Person"];
export type CourseRequest = Schemas["CourseRequest"];
export type CourseResponse = Schemas["CourseResponse"];
export type CupRequest = Schemas["CupRequest"];
export type TinsResponse = Schemas["TinsResponse"];
export type WeekResponse = Schemas["WeekResponse"];
export type ToBuy = Schemas["ToBuy"];
export type Held = Schemas["Held"];
export type HouseholdResponse = Schemas["HouseholdResponse"];
export type Me = Schemas["Me"];
export type Device = Schemas["Device"];
export type NetworkLine = Schemas["NetworkLine"];
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
export type SharerLine = Schemas["SharerLine"];
export type RecipeDocument = Schemas["RecipeDocument"];
export type AdditionDocument = Schemas["AdditionDocument"];
export type TakingRow = Schemas["TakingRowDocument"];
export type OwnCaution = Schemas["OwnCautionDocument"];
export type StageDocument = Schemas["StageDocument"];
export type RecipeRequest = Schemas["RecipeRequest"];
export type RecipeVersion = Schemas["RecipeVersion"];
export type ProposalResponse = Schemas["ProposalResponse"];
export type BlendResponse = Schemas["BlendResponse"];
export type BlendRequest = Schemas["BlendRequest"];
export type WrittenResponse = Schemas["WrittenResponse"];
export type WrittenLine = Schemas["WrittenLine"];
export type QuestionLine = Schemas["QuestionLine"];
export type ReadRequest = Schemas["ReadRequest"];
export type AnswerPart = Schemas["AnswerPart"];
export type ImportResponse = Schemas["ImportResponse"];
export type PersonRequest = Schemas["PersonRequest"];
export type PlaceRequest = Schemas["PlaceRequest"];
export type VesselRequest = Schemas["VesselRequest"];
export type VesselResponse = Schemas["VesselResponse"];
export type BurnerRequest = Schemas["BurnerRequest"];
export type BurnerResponse = Schemas["BurnerResponse"];
export type CalibrationRequest = Schemas["CalibrationRequest"];
export type CalibrationResponse = Schemas["CalibrationResponse"];
export type Tin = Schemas["Tin"];
/** A cup out of a jar: how much of it, warmed or not, for whom. */
export type LaterCupAsk = NonNullable<operations["laterCup"]["parameters"]["query"]>;
export type JarResponse = Schemas["JarResponse"];
export type CupMaking = Schemas["CupMaking"];
export type DropsLine = Schemas["DropsLine"];
export type MarcInFridge = Schemas["MarcInFridge"];
export type StandingJar = Schemas["StandingJar"];
export type ShakingLine = Schemas["ShakingLine"];
export type ShakingDay = Schemas["ShakingDay"];
export type MixRequest = Schemas["MixRequest"];
export type MineRequest = Schemas["MineRequest"];
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
