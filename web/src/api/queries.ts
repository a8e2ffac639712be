import { keepPreviousData, QueryClient, useQuery } from "@tanstack/react-query";
import { AwayError, api, type BrewResponse, type NotebookRequest, type OrderRequest } from "./client";
import { present } from "./present";

/** Server state lives here and nowhere else; screens derive from it. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      retry: (count, error) => error instanceof AwayError && count < 3,
      refetchOnWindowFocus: true,
    },
  },
});

export const useRecipes = () => useQuery({ queryKey: ["recipes"], queryFn: api.recipes });
export const useRecipe = (id: string) =>
  useQuery({ queryKey: ["recipes", id], queryFn: () => api.recipe(id), enabled: id !== "" });
export const usePeople = () => useQuery({ queryKey: ["people"], queryFn: api.people });
export const useKitchen = () => useQuery({ queryKey: ["kitchen"], queryFn: api.kitchen });
export const useSources = () =>
  useQuery({ queryKey: ["sources"], queryFn: api.sources, staleTime: Number.POSITIVE_INFINITY });
export const useHerbs = () =>
  useQuery({ queryKey: ["herbs"], queryFn: api.herbs, staleTime: Number.POSITIVE_INFINITY });
export const useFoundHerbs = (words: string) =>
  useQuery({
    queryKey: ["herbs", "found", words],
    queryFn: () => api.findHerbs(words),
    placeholderData: keepPreviousData,
    enabled: words.trim() !== "",
    staleTime: 60_000,
  });
export const useShelf = () => useQuery({ queryKey: ["shelf"], queryFn: api.shelf });
export const useOccasions = () =>
  useQuery({ queryKey: ["occasions"], queryFn: api.occasions, staleTime: Number.POSITIVE_INFINITY });
export const useSchools = () =>
  useQuery({ queryKey: ["schools"], queryFn: api.schools, staleTime: Number.POSITIVE_INFINITY });
export const useMarks = (drinkerId: string | undefined) =>
  useQuery({
    queryKey: ["marks", drinkerId],
    queryFn: () => api.marks(drinkerId ?? ""),
    enabled: drinkerId !== undefined,
  });
export const useVersions = (id: string | undefined) =>
  useQuery({ queryKey: ["versions", id], queryFn: () => api.versions(id ?? ""), enabled: id !== undefined });
export const useOwnHerb = (slug: string) =>
  useQuery({ queryKey: ["own-herb", slug], queryFn: () => api.ownHerb(slug), enabled: slug !== "" });
export const useHerb = (slug: string) =>
  useQuery({ queryKey: ["herbs", slug], queryFn: () => api.herb(slug), enabled: slug !== "" });
export const useBrew = (id: string) =>
  useQuery({
    queryKey: ["brews", id],
    queryFn: async () => newer(queryClient.getQueryData<BrewResponse>(["brews", id]), await api.brew(id)),
  });
export const useHistory = (recipeId: string | undefined) =>
  useQuery({
    queryKey: ["notebook", "history", recipeId],
    queryFn: () => api.history(recipeId ?? ""),
    enabled: recipeId !== undefined,
    staleTime: 0,
  });
export const useNotebook = (ask: NotebookRequest) =>
  useQuery({
    queryKey: ["notebook", ask],
    queryFn: () => api.notebook(ask),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });

const planOf = (ask: OrderRequest) => ({
  queryKey: ["plans", ask],
  queryFn: ({ signal }: { signal: AbortSignal }) => api.plan(ask, signal),
  staleTime: 60_000,
});

/** The plan of a sheet; the drawn plan stays until the next one is there. */
export const usePlan = (ask: OrderRequest, enabled = true) =>
  useQuery({ ...planOf(ask), enabled, placeholderData: keepPreviousData });

/** Asks for a plan before the screen that will want it has been drawn. */
export const foresee = (ask: OrderRequest) => void queryClient.prefetchQuery(planOf(ask));

/** Today's hours, from six in the morning to the next six. */
export function useDay() {
  const from = dayStart(present());
  const to = new Date(from.getTime() + 24 * 3600_000);
  const query = useQuery({
    queryKey: ["day", from.toISOString()],
    queryFn: () => api.day(from.toISOString(), to.toISOString()),
    refetchInterval: 15_000,
    staleTime: 5_000,
  });
  return { ...query, from, to };
}

/** The day of a kitchen begins at six. */
export function dayStart(now: Date): Date {
  const start = new Date(now);
  start.setHours(6, 0, 0, 0);
  if (start > now) start.setDate(start.getDate() - 1);
  return start;
}

/** Takes a brew's state unless a newer one is here: the stream and the answer to a confirmation race each other. */
export function keepNewer(brew: BrewResponse) {
  queryClient.setQueryData<BrewResponse>(["brews", brew.id], (before) => newer(before, brew));
}

/** The one that knows more events; of the same events the later answer. */
export function newer(before: BrewResponse | undefined, brew: BrewResponse): BrewResponse {
  if (!before || brew.state > before.state) return brew;
  return brew.state < before.state || Date.parse(before.serverNow) > Date.parse(brew.serverNow)
    ? before
    : brew;
}
