import type { BrewLine } from "../api/client";

/** Where a line of the day leads: to its brew, or to the jar of which a cup is being made. */
export const whereTo = (brew: BrewLine): string =>
  brew.phase === "cup" ? `/keeping?jar=${brew.id}` : `/brew/${brew.id}`;

/** Whether a clock of it runs: it is on the fire, or in the mug. */
export const goesOn = (brew: BrewLine): boolean => brew.phase === "running" || brew.phase === "cup";
