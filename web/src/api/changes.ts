import { type QueryKey, useMutation } from "@tanstack/react-query";
import { api } from "./client";
import { keys } from "./keys";
import { redrawn } from "./picture";
import { keepNewer, queryClient } from "./queries";
import type {
  BlendRequest,
  BrewRequest,
  BurnerRequest,
  CalibrationRequest,
  CourseRequest,
  CupRequest,
  MineRequest,
  MixRequest,
  OwnHerbDocument,
  PersonRequest,
  PlaceRequest,
  RecipeDocument,
  RecipeRequest,
  TinRequest,
  VesselRequest,
} from "./shapes";

/** A change that somebody makes, and the answers it makes stale: they are asked for again before it counts as done. */
function useChange<Wish, Answer>(change: (wish: Wish) => Promise<Answer>, ...stale: QueryKey[]) {
  return useMutation({
    mutationFn: change,
    onSuccess: () => Promise.all(stale.map((queryKey) => queryClient.invalidateQueries({ queryKey }))),
  });
}

/** A thing of the household that is new without an id, changed with one. */
export interface Kept<Draft> {
  id: string | undefined;
  draft: Draft;
}

// ---- recipes

export const useKeepRecipe = () =>
  useChange(
    ({ id, draft }: Kept<RecipeRequest>) => api.keepRecipe(id, draft),
    keys.recipes,
    keys.versions(),
    keys.marks,
  );
/** A favourite, and words of one's own. */
export const useSayOfRecipe = (id: string) =>
  useChange((draft: MineRequest) => api.sayOfRecipe(id, draft), keys.recipes);
export const useRemoveRecipe = () => useChange(api.removeRecipe, keys.recipes);
/** The stages that a recipe without any would get. */
export const usePropose = () => useChange((recipe: RecipeDocument) => api.propose(recipe));
export const useReadRecipe = () => useChange(api.readRecipe);
export const useImport = () =>
  useChange(({ file, type }: { file: Blob; type: string }) => api.importRecipes(file, type));
export const useBlend = () => useChange((wish: BlendRequest) => api.blend(wish));

// ---- brews

export const useStartBrew = () =>
  useMutation({
    mutationFn: (wish: BrewRequest) => api.addBrew(wish),
    onSuccess: (brew) => {
      queryClient.setQueryData(keys.brew(brew.id), brew);
      void queryClient.invalidateQueries({ queryKey: keys.day });
    },
  });
export const useSimulate = (brewId: string) =>
  useMutation({ mutationFn: (speed: number) => api.simulate(brewId, speed), onSuccess: keepNewer });
export const useRemoveBrew = () => useChange(api.removeBrew, keys.day, keys.notebook, keys.learned);
/** A picture of the cup; none takes it away. */
export const usePhoto = (brewId: string) =>
  useChange(
    (photo: File | undefined) =>
      photo ? redrawn(photo).then((small) => api.keepPhoto(brewId, small)) : api.removePhoto(brewId),
    keys.brew(brewId),
  );

// ---- the household

export const useKeepPerson = () =>
  useChange(({ id, draft }: Kept<PersonRequest>) => api.keepPerson(id, draft), keys.everything);
export const useRemovePerson = () => useChange(api.removePerson, keys.everything);
export const useKeepPlace = () => useChange((draft: PlaceRequest) => api.keepPlace(draft), keys.everything);
export const useKeepVessel = () =>
  useChange(({ id, draft }: Kept<VesselRequest>) => api.keepVessel(id, draft), keys.everything);
export const useRemoveVessel = () => useChange(api.removeVessel, keys.everything);
export const useKeepBurner = () =>
  useChange(({ id, draft }: Kept<BurnerRequest>) => api.keepBurner(id, draft), keys.everything);
export const useRemoveBurner = () => useChange(api.removeBurner, keys.everything);
/** What two measurements say of a burner; nothing is kept yet. */
export const useCalibrate = (burnerId: string) =>
  useChange((draft: CalibrationRequest) => api.calibrate(burnerId, draft));
export const useHoldTo = () =>
  useChange(
    ({ question, choice }: { question: string; choice: string | undefined }) => api.holdTo(question, choice),
    keys.schools,
    keys.plans,
  );
export const useChangeLearned = () => useChange(api.changeLearned, keys.plans, keys.learned);

// ---- courses

export const useBeginCourse = () =>
  useChange((ask: CourseRequest) => api.beginCourse(ask), keys.courses, keys.day);
export const useChangeCourse = (id: string) =>
  useChange((ask: CourseRequest) => api.changeCourse(id, ask), keys.courses, keys.day);
/** Before its time; without a reason it goes on again. */
export const useEndCourse = (id: string) =>
  useChange((why: "better" | "stopped" | undefined) => api.endCourse(id, why), keys.courses, keys.day);
/** A cup that is drunk, or one that was not after all. */
export const useCup = (id: string) =>
  useChange(
    (wish: CupRequest | { back: string }) =>
      "back" in wish ? api.takeCupBack(id, wish.back) : api.drinkCup(id, wish),
    keys.courses,
    keys.day,
    keys.keeping,
    keys.plans,
  );
export const useRemoveCourse = () => useChange(api.removeCourse, keys.courses, keys.day);

/** A household out of an archive, into this empty one. */
export const useRestore = () => useChange((file: Blob) => api.restore(file), keys.everything);

export const useRenewCalendar = () => useChange(() => api.renewCalendar(), keys.calendarAddress);
export const useCloseCalendar = () => useChange(() => api.closeCalendar(), keys.calendarAddress);

// ---- the door

export const usePair = () =>
  useChange((wish: { code: string; name: string }) => api.pair(wish).then(() => api.me()), keys.everything);
export const useMakeCode = () => useChange(api.makeCode);
export const useRenameDevice = () =>
  useChange(
    ({ id, ...body }: { id: string; version: number; name: string }) => api.renameDevice(id, body),
    keys.door,
  );
export const useRevoke = () => useChange(api.revoke, keys.door);

// ---- herbs and tins

export const useMix = () => useChange((wish: MixRequest) => api.mix(wish), keys.shelf);
export const useUndoMix = () => useChange(api.undoMix, keys.shelf);
export const usePutTin = () => useChange((draft: TinRequest) => api.putTin(draft), keys.shelf, keys.plans);
/** Tins out of a table: looked at, or put onto the shelf. */
export const useReadTins = () =>
  useChange(
    ({ file, keep }: { file: Blob; keep: boolean }) => api.readTins(file, keep),
    keys.shelf,
    keys.plans,
  );
export const useChangeTin = () =>
  useChange(
    ({ id, draft }: { id: string; draft: TinRequest }) => api.changeTin(id, draft),
    keys.shelf,
    keys.plans,
  );
export const useRemoveTin = () => useChange(api.removeTin, keys.shelf, keys.plans);
export const useKeepOwnHerb = () =>
  useChange(
    ({ slug, doc }: { slug: string; doc: OwnHerbDocument }) => api.keepOwnHerb(slug, doc),
    keys.everything,
  );
export const useForgetOwnHerb = () =>
  useChange(
    ({ slug, retire }: { slug: string; retire: boolean }) => api.forgetOwnHerb(slug, retire),
    keys.everything,
  );
