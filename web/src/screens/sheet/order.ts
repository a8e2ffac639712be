import type { PlanAsk } from "../../api/client";

/** What the order sentence says; kept in the address, so that a sheet can be linked and the back button works. */
export interface Order {
  cups?: number;
  cupMl?: number;
  strength: "gentle" | "standard" | "strong";
  purpose: "everyday" | "tonic" | "acute";
  drinkerId?: string;
  vesselId?: string;
  burnerId?: string;
  /** "HH:MM" of today or tomorrow; empty for as soon as possible. */
  at?: string;
  /** Herbs left out, or replaced by another: the ways out of a stop that were taken. */
  changes: { herb: string; with?: string }[];
}

const number = (text: string | null) => (text && Number.isFinite(Number(text)) ? Number(text) : undefined);

function oneOf<T extends string>(text: string | null, all: readonly T[], fallback: T): T {
  return all.find((a) => a === text) ?? fallback;
}

export function readOrder(params: URLSearchParams): Order {
  return {
    cups: number(params.get("cups")),
    cupMl: number(params.get("cup")),
    strength: oneOf(params.get("strength"), ["gentle", "standard", "strong"], "standard"),
    purpose: oneOf(params.get("as"), ["everyday", "tonic", "acute"], "everyday"),
    drinkerId: params.get("who") ?? undefined,
    vesselId: params.get("in") ?? undefined,
    burnerId: params.get("on") ?? undefined,
    at: params.get("at") ?? undefined,
    changes: params.getAll("change").map((c) => {
      const [herb = "", other] = c.split(".");
      return other ? { herb, with: other } : { herb };
    }),
  };
}

export function writeOrder(order: Order): URLSearchParams {
  const params = new URLSearchParams();
  const put = (key: string, value: string | number | undefined, usual?: string) => {
    if (value !== undefined && value !== "" && value !== usual) params.set(key, String(value));
  };
  put("cups", order.cups);
  put("cup", order.cupMl);
  put("strength", order.strength, "standard");
  put("as", order.purpose, "everyday");
  put("who", order.drinkerId);
  put("in", order.vesselId);
  put("on", order.burnerId);
  put("at", order.at);
  for (const c of order.changes) params.append("change", c.with ? `${c.herb}.${c.with}` : c.herb);
  return params;
}

/** The next moment at which a clock shows "HH:MM", today or tomorrow. */
export function nextAt(hhmm: string, now: Date): Date {
  const [h, m] = hhmm.split(":").map(Number);
  const at = new Date(now);
  at.setHours(h ?? 0, m ?? 0, 0, 0);
  if (at <= now) at.setDate(at.getDate() + 1);
  return at;
}

export function ask(recipeId: string, order: Order, drinkerId: string | undefined, now: Date): PlanAsk {
  return {
    recipeId,
    cups: order.cups,
    cupMl: order.cupMl,
    strength: order.strength,
    purpose: order.purpose,
    drinkerId,
    changes: order.changes.length > 0 ? order.changes : undefined,
    kitchen: { vesselId: order.vesselId, burnerId: order.burnerId },
    ...(order.at ? { readyAt: nextAt(order.at, now).toISOString() } : { startAt: now.toISOString() }),
  };
}
