import { beforeEach, describe, expect, it, vi } from "vitest";
import type { BrewResponse } from "../src/api/client";
import { browser } from "./browser";

const brew = (state: number, serverNow: string) => ({ id: "b", state, serverNow }) as BrewResponse;

describe("two answers of one brew that race each other", () => {
  beforeEach(() => void browser());

  it("the one that knows more events is the newer, whatever its clock says", async () => {
    const { newer } = await import("../src/api/queries");
    const before = brew(5, "2026-11-25T20:00:01Z");
    const stale = brew(4, "2026-11-25T20:00:01.250Z");
    expect(newer(before, stale)).toBe(before);
    expect(newer(stale, before)).toBe(before);
  });

  it("of the same events the later is taken, to the millisecond", async () => {
    const { newer } = await import("../src/api/queries");
    const whole = brew(5, "2026-11-25T20:00:01Z");
    const later = brew(5, "2026-11-25T20:00:01.004Z");
    expect(newer(whole, later)).toBe(later);
    expect(newer(later, whole)).toBe(later);
    expect(newer(undefined, whole)).toBe(whole);
    vi.unstubAllGlobals();
  });

  it("a page that knows less than a beat says asks again, one that knows it all does not", async () => {
    const { catchUp, queryClient } = await import("../src/api/queries");
    const { keys } = await import("../src/api/keys");
    const stale = () => queryClient.getQueryState(keys.brew("b"))?.isInvalidated;
    queryClient.setQueryData(keys.brew("b"), { id: "b", state: 4 });
    catchUp("b", 4);
    expect(stale()).toBe(false);
    catchUp("b", 5);
    expect(stale()).toBe(true);
  });
});
