import { keepPreviousData, QueryClient, useQuery } from "@tanstack/react-query";
import {
  AwayError,
  api,
  type BrewResponse,
  type CourseRequest,
  type LaterCupAsk,
  type NotebookRequest,
  type OrderRequest,
} from "./client";
import { onSentAway } from "./door";
import { keepHouse } from "./house";
import { keys } from "./keys";
import { present } from "./present";

/** Server state lives here and nowhere else; screens derive from it. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      // The browser's word for being online is about a network; what is kept is there without one.
      networkMode: "always",
      retry: (count, error) => error instanceof AwayError && count < 3,
      refetchOnWindowFocus: true,
    },
    // A change is refused or fails at once; what waits for the server is the outbox.
    mutations: { networkMode: "always" },
  },
});

onSentAway(() => queryClient.clear());

export const useRecipes = () => useQuery({ queryKey: keys.recipes, queryFn: api.recipes });
/** Pots for a household that has none yet. */
export const useStarters = () =>
  useQuery({ queryKey: keys.starters, queryFn: api.starters, staleTime: Number.POSITIVE_INFINITY });
export const useRecipe = (id: string) =>
  useQuery({ queryKey: keys.recipe(id), queryFn: () => api.recipe(id), enabled: id !== "" });
/** What a word of an address carries. */
export const useCarriedRecipe = (word: string) =>
  useQuery({
    queryKey: keys.carried(word),
    queryFn: () => api.importRecipes(new Blob([word]), "text/plain"),
    enabled: word !== "",
    staleTime: Number.POSITIVE_INFINITY,
  });
/** A recipe in a link that carries it. */
export const useShare = (id: string) => useQuery({ queryKey: keys.share(id), queryFn: () => api.share(id) });
export const usePeople = () => useQuery({ queryKey: keys.people, queryFn: api.people });
export const useKitchen = () =>
  useQuery({
    queryKey: keys.kitchen,
    queryFn: async () => {
      const kitchen = await api.kitchen();
      keepHouse(kitchen);
      return kitchen;
    },
  });
/** What the household holds, and when it was last saved; it ages while it is looked at. A cook's device alone is told. */
export const useHousehold = () => {
  const cook = useMe().data?.role === "cook";
  return useQuery({
    queryKey: keys.household,
    queryFn: api.household,
    enabled: cook,
    staleTime: 0,
    refetchInterval: 60_000,
  });
};
/** How much is kept about somebody; asked when it is to be erased. */
export const useKeptOfPerson = (id: string) =>
  useQuery({ queryKey: keys.keptOfPerson(id), queryFn: () => api.keptOfPerson(id), staleTime: 0 });
/** The address at which a calendar asks by itself. A cook's device alone is told. */
export const useCalendarAddress = () => {
  const cook = useMe().data?.role === "cook";
  return useQuery({ queryKey: keys.calendarAddress, queryFn: api.calendarAddress, enabled: cook });
};
export const useMe = (everyMs?: number) =>
  useQuery({ queryKey: keys.me, queryFn: api.me, refetchInterval: everyMs });
export const useDevices = () =>
  useQuery({ queryKey: keys.devices, queryFn: api.devices, refetchInterval: 5_000 });
export const useDoorAudit = (open: boolean) =>
  useQuery({ queryKey: keys.doorAudit, queryFn: api.doorAudit, enabled: open, staleTime: 0 });
export const useSources = () =>
  useQuery({ queryKey: keys.sources, queryFn: api.sources, staleTime: Number.POSITIVE_INFINITY });
export const useHerbs = () =>
  useQuery({ queryKey: keys.herbs, queryFn: api.herbs, staleTime: Number.POSITIVE_INFINITY });
export const useFoundHerbs = (words: string) =>
  useQuery({
    queryKey: keys.foundHerbs(words),
    queryFn: () => api.findHerbs(words),
    placeholderData: keepPreviousData,
    enabled: words.trim() !== "",
    staleTime: 60_000,
  });
/** Jars with the rest of a pot; they age while they are looked at. */
export const useKeeping = () =>
  useQuery({ queryKey: keys.keeping, queryFn: api.keeping, refetchInterval: 60_000 });
export const useLaterCup = (brewId: string, cup: LaterCupAsk) =>
  useQuery({
    queryKey: keys.laterCup(brewId, cup),
    queryFn: () => api.laterCup(brewId, cup),
    placeholderData: keepPreviousData,
  });
/** Courses; their doses become late while they are looked at. */
export const useCourses = () =>
  useQuery({ queryKey: keys.courses, queryFn: api.courses, refetchInterval: 60_000 });
export const useCourse = (id: string) =>
  useQuery({ queryKey: keys.course(id), queryFn: () => api.course(id), refetchInterval: 30_000 });
export const useCoursePreview = (ask: CourseRequest) =>
  useQuery({
    queryKey: keys.coursePreview(ask),
    queryFn: ({ signal }) => api.previewCourse(ask, signal),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });
/** What mixing so much of a blend would take; while another amount is asked for, the last answer stands. */
export const useMixPlan = (blend: string, grams: number) =>
  useQuery({
    queryKey: keys.mixPlan(blend, grams),
    queryFn: () => api.planMix({ blend, grams }),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });

/** The days to come; whatever changes plans or tins changes them. */
export const useWeek = (days: number) =>
  useQuery({ queryKey: keys.week(days), queryFn: () => api.week(days), staleTime: 0 });
export const useShelf = () => useQuery({ queryKey: keys.shelf, queryFn: api.shelf });
/** What recipes need that is not in the house; whatever changes recipes, blends or tins changes it. */
export const useLacking = () => useQuery({ queryKey: keys.lacking, queryFn: api.lacking, staleTime: 0 });
export const useOccasions = () =>
  useQuery({ queryKey: keys.occasions, queryFn: api.occasions, staleTime: Number.POSITIVE_INFINITY });
export const useSchools = () =>
  useQuery({ queryKey: keys.schools, queryFn: api.schools, staleTime: Number.POSITIVE_INFINITY });
export const useMarks = (drinkerId: string | undefined) =>
  useQuery({
    queryKey: keys.marksFor(drinkerId),
    queryFn: () => api.marks(drinkerId ?? ""),
    enabled: drinkerId !== undefined,
  });
export const useVersions = (id: string | undefined) =>
  useQuery({ queryKey: keys.versions(id), queryFn: () => api.versions(id ?? ""), enabled: id !== undefined });
export const useOwnHerb = (slug: string) =>
  useQuery({ queryKey: keys.ownHerb(slug), queryFn: () => api.ownHerb(slug), enabled: slug !== "" });
export const useHerb = (slug: string) =>
  useQuery({ queryKey: keys.herb(slug), queryFn: () => api.herb(slug), enabled: slug !== "" });
export const useBrew = (id: string) =>
  useQuery({
    queryKey: keys.brew(id),
    queryFn: async () => newer(queryClient.getQueryData<BrewResponse>(keys.brew(id)), await api.brew(id)),
  });
export const useHistory = (recipeId: string | undefined) =>
  useQuery({
    queryKey: keys.history(recipeId),
    queryFn: () => api.history(recipeId ?? ""),
    enabled: recipeId !== undefined,
    staleTime: 0,
  });
export const useNotebook = (ask: NotebookRequest) =>
  useQuery({
    queryKey: keys.entries(ask),
    queryFn: () => api.notebook(ask),
    placeholderData: keepPreviousData,
    staleTime: 0,
  });

const planOf = (ask: OrderRequest) => ({
  queryKey: keys.plan(ask),
  queryFn: ({ signal }: { signal: AbortSignal }) => api.plan(ask, signal),
  staleTime: 60_000,
});

/** The plan of a sheet; the drawn plan stays until the next one is there. */
export const usePlan = (ask: OrderRequest, enabled = true) =>
  useQuery({ ...planOf(ask), enabled, placeholderData: keepPreviousData });

/** Asks for a plan before the screen that will want it has been drawn. */
export const foresee = (ask: OrderRequest) => void queryClient.prefetchQuery(planOf(ask));

/** Today's hours, from six in the morning to the next six. */
/** What is on the fire and planned, and what was brewed in the hours before. */
export function useDay() {
  const now = present();
  now.setMinutes(0, 0, 0);
  const from = new Date(now.getTime() - 2 * 3600_000);
  const to = new Date(now.getTime() + 24 * 3600_000);
  return useQuery({
    queryKey: keys.dayFrom(from.toISOString()),
    queryFn: () => api.day(from.toISOString(), to.toISOString()),
    // On the hour other hours are asked for; until they come the strip stays as it is.
    placeholderData: keepPreviousData,
    refetchInterval: 15_000,
    // Alarms ring from it, also while the page is not looked at.
    refetchIntervalInBackground: true,
    staleTime: 5_000,
  });
}

/** Takes a brew's state unless a newer one is here: the stream and the answer to a confirmation race each other. */
export function keepNewer(brew: BrewResponse) {
  const before = queryClient.getQueryData<BrewResponse>(keys.brew(brew.id));
  if (brew.state !== before?.state) void queryClient.invalidateQueries({ queryKey: keys.keeping });
  queryClient.setQueryData<BrewResponse>(keys.brew(brew.id), (before) => newer(before, brew));
}

/** Asks for a brew again when more has happened to it than is known here: a word was lost on its way. */
export function catchUp(brewId: string, happened: number) {
  const known = queryClient.getQueryData<BrewResponse>(keys.brew(brewId));
  if (known && known.state < happened) void queryClient.invalidateQueries({ queryKey: keys.brew(brewId) });
}

/** The one that knows more events; of the same events the later answer. */
export function newer(before: BrewResponse | undefined, brew: BrewResponse): BrewResponse {
  if (!before || brew.state > before.state) return brew;
  return brew.state < before.state || Date.parse(before.serverNow) > Date.parse(brew.serverNow)
    ? before
    : brew;
}
