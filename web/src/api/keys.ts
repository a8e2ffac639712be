import type { NotebookRequest, OrderRequest } from "./shapes";

/**
 * What every answer of the server is kept under. A key that another begins with stands for all of those: what makes
 * `recipes` stale makes every recipe stale.
 */
export const keys = {
  everything: [] as const,
  recipes: ["recipes"] as const,
  starters: ["starters"] as const,
  recipe: (id: string) => ["recipes", id] as const,
  versions: (id?: string) => (id === undefined ? (["versions"] as const) : (["versions", id] as const)),
  people: ["people"] as const,
  kitchen: ["kitchen"] as const,
  door: ["door"] as const,
  me: ["door", "me"] as const,
  devices: ["door", "devices"] as const,
  doorAudit: ["door", "audit"] as const,
  sources: ["sources"] as const,
  herbs: ["herbs"] as const,
  herb: (slug: string) => ["herbs", slug] as const,
  foundHerbs: (words: string) => ["herbs", "found", words] as const,
  ownHerb: (slug: string) => ["own-herb", slug] as const,
  keeping: ["keeping"] as const,
  laterCup: (brewId: string, ml: number, warm: boolean) => ["keeping", brewId, ml, warm] as const,
  shelf: ["shelf"] as const,
  occasions: ["occasions"] as const,
  schools: ["schools"] as const,
  learned: ["learned"] as const,
  marks: ["marks"] as const,
  marksFor: (drinkerId: string | undefined) => ["marks", drinkerId] as const,
  plans: ["plans"] as const,
  plan: (order: OrderRequest) => ["plans", order] as const,
  spent: (brewId: string) => ["plans", "spent", brewId] as const,
  oneCook: (order: OrderRequest, open: number) => ["one-cook", order, open] as const,
  together: (orders: OrderRequest[]) => ["one-cook", "together", orders] as const,
  workings: (of: unknown) => ["workings", of] as const,
  brew: (id: string) => ["brews", id] as const,
  day: ["day"] as const,
  dayFrom: (from: string) => ["day", from] as const,
  notebook: ["notebook"] as const,
  entries: (wanted: NotebookRequest) => ["notebook", wanted] as const,
  history: (recipeId: string | undefined) => ["notebook", "history", recipeId] as const,
};
