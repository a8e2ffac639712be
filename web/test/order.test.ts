import { describe, expect, it } from "vitest";
import type { Person } from "../src/api/client";
import { type House, keepHouse } from "../src/api/house";
import { readDoc } from "../src/screens/recipe/draft";
import { atOn, nextAt } from "../src/screens/sheet/at";
import {
  applied,
  ask,
  misplaced,
  type Order,
  readOrder,
  settled,
  tweaked,
  unread,
  writeOrder,
} from "../src/screens/sheet/order";
import { seeded } from "./seeded";

keepHouse({ units: { hours: "twenty-four", dates: "day-month" }, scales: {} } as unknown as House);

const PLAIN: Order = { purpose: "everyday", changes: [], schools: {}, tweaks: [], spent: false, others: [] };

/** Any order that the sheet can make. */
function anyOrder(random: () => number): Order {
  const maybe = <T>(value: T): T | undefined => (random() < 0.5 ? value : undefined);
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
  const order: Order = {
    ...PLAIN,
    changes: [],
    cups: maybe(1 + Math.floor(random() * 40)),
    cupMl: maybe(30 + Math.floor(random() * 970)),
    strength: maybe(one(["gentle", "standard", "strong"] as const)),
    purpose: one(["everyday", "tonic", "acute"] as const),
    drinkerId: maybe("0b8ff1c2-0000-4000-8000-000000000001"),
    vesselId: maybe("0b8ff1c2-0000-4000-8000-000000000002"),
    burnerId: maybe("0b8ff1c2-0000-4000-8000-000000000003"),
    at: maybe("21:05"),
    menstruum: maybe(one(["water", "glycerin", "vinegar"] as const)),
    spent: random() < 0.5,
    after: maybe("0b8ff1c2-0000-4000-8000-000000000004"),
    aDay: maybe(one([0.5, 1, 1.5, 3] as const)),
    prescribed: maybe(1 + Math.floor(random() * 28)),
    others: [
      ...(random() < 0.5 ? [{ id: "0b8ff1c2-0000-4000-8000-000000000005", cupsADay: 2, serving: 0.38 }] : []),
      ...(random() < 0.5
        ? [
            {
              id: "guest",
              cupsADay: 0.5,
              ageYears: 71,
              name: "a neighbour",
              conditions: ["diuretic", "reflux"],
            },
          ]
        : []),
    ],
    schools: random() < 0.5 ? { honey: "any-time", "first-contact": "warm" } : {},
  };
  for (let i = 0; i < Math.floor(random() * 4); i++) {
    order.changes.push(
      one([
        { herb: "lemon-balm" },
        { herb: "liquorice", with: "fennel" },
        { herb: "sage", share: Math.ceil(random() * 100) / 100 },
        { herb: "ginger", form: one(["fresh", "dried"] as const) },
      ]),
    );
  }
  order.changes = [...new Map(order.changes.map((c) => [c.herb, c])).values()];
  order.tweaks = [
    ...(random() < 0.5 ? [{ stage: 1, part: "minutes" as const, value: 12.5 }] : []),
    ...(random() < 0.5 ? [{ stage: 0, part: "lid" as const, value: 1 }] : []),
    ...(random() < 0.5 ? [{ addition: 2, part: "stage" as const, value: 1 }] : []),
    ...(random() < 0.3 ? [{ meant: "cups" as const, says: "water-leaves" }] : []),
  ];
  if (random() < 0.2) order.tweaks = [{ meant: "other", cups: 4, cupMl: 312.5 }];
  order.guest = random() < 0.3 ? { ageYears: 9, name: "Nils", conditions: ["reflux"] } : undefined;
  order.tweaks = [...order.tweaks];
  return order;
}

describe("the order in the address", () => {
  it.each(Array.from({ length: 60 }, (_, seed) => seed))("reads what it wrote, seed %i", (seed) => {
    const order = anyOrder(seeded(seed));
    const address = writeOrder(order).toString();
    expect(readOrder(new URLSearchParams(address))).toEqual({ ...PLAIN, ...order });
    expect(writeOrder(readOrder(new URLSearchParams(address))).toString()).toBe(address);
  });

  it("says nothing of a usual order", () => {
    expect(writeOrder(PLAIN).toString()).toBe("");
  });

  it("takes no harm from an address that somebody typed", () => {
    const order = readOrder(
      new URLSearchParams(
        "cups=many&strength=brutal&as=cure&t=s1.colour.3&t=x&t=sNaN.lid.1&t=meant.other.-3&t=meant.other.2x",
      ),
    );
    expect(order).toEqual(PLAIN);
  });

  it("is for a guest of whom only a word is known, and for nobody of the household then", () => {
    const order: Order = { ...PLAIN, drinkerId: "a", guest: { ageYears: 9, name: "Nils" } };
    const asked = ask("r", undefined, settled(order, []), new Date("2026-11-26T10:00:00Z"));
    expect(asked.drinkerId).toBeUndefined();
    expect(asked.guest).toBe("Nils");
    expect(asked.drinker).toEqual({ ageYears: 9, conditions: undefined });
  });

  it("decides which is meant where a recipe contradicts itself", () => {
    const water = { name: "Pot", cups: 2, cupMl: 240, pourMl: 1000, stages: [{ kind: "simmer" as const }] };
    expect(applied(water, [{ meant: "cups", says: "water-leaves" }]).pourMl).toBeUndefined();
    expect(applied(water, [{ meant: "other", cups: 3, cupMl: 300 }])).toMatchObject({
      cups: 3,
      cupMl: 300,
      pourMl: 1000,
    });
    const reduced = {
      ...water,
      stages: [{ kind: "reduce" as const, toMl: 300 }, { kind: "strain" as const }],
    };
    const meant = applied(reduced, [{ meant: "cups", says: "reduction-stops-at" }]);
    expect(meant.stages?.[0]?.toMl, "the mark goes to where the cups are").toBe(480);
    expect(reduced.stages[0]?.toMl).toBe(300);
  });

  it("asks for everybody who drinks of the pot, a guest by what is known of her", () => {
    const order: Order = {
      ...PLAIN,
      aDay: 2,
      prescribed: 3,
      others: [
        { id: "0b8ff1c2-0000-4000-8000-000000000005", cupsADay: 1, serving: 0.5 },
        { id: "guest", cupsADay: 2, ageYears: 30, conditions: ["pregnant"] },
      ],
    };
    const asked = ask("r", undefined, settled(order, []), new Date("2026-11-26T10:00:00Z"));
    expect(asked.cupsADay).toBe(2);
    expect(asked.prescribedDays).toBe(3);
    expect(asked.others?.[0]).toEqual({
      drinkerId: "0b8ff1c2-0000-4000-8000-000000000005",
      cupsADay: 1,
      serving: 0.5,
    });
    expect(asked.others?.[1]?.drinker).toEqual({ ageYears: 30, conditions: ["pregnant"] });
  });

  it("leaves nothing out without a word", () => {
    const wrong = [
      "cups=many",
      "cup=",
      "strength=heroic",
      "as=party",
      "guest=old~Nan",
      "at=teatime",
      "at=25:00",
      "at=2026-02-30T08:00",
      "drawn=wine",
      "change=sage.share.half",
      "change=sage.cup.a lot",
      "change=sage.form.frozen",
      "school=honey",
      "t=9.minutes.3",
      "t=s0.herbs.3",
      "t=s0.minutes.long",
      "t=meant.other.0x240",
      "spent=maybe",
      "aday=often",
      "with=~2",
      "with=somebody~two",
      "colour=blue",
    ];
    for (const one of wrong) {
      const params = new URLSearchParams(`who=somebody&${one}`);
      expect(unread(params), one).toEqual([one]);
      const order = readOrder(params);
      expect(JSON.stringify(order), one).not.toContain("null");
      expect({ ...order, drinkerId: undefined }, one).toEqual(PLAIN);
    }
    expect(unread(new URLSearchParams(wrong.join("&"))).length).toBeGreaterThan(wrong.length - 3);
    for (const one of [
      "cups=2",
      "cups=2.0",
      "as=everyday",
      "at=7:05",
      "at=2028-02-29T08:00",
      "t=s0.lid.1",
      "with=somebody~2",
      "guest=30~Anna",
    ])
      expect(unread(new URLSearchParams(one)), one).toEqual([]);
    expect(unread(new URLSearchParams("cups=2&cups=3")), "said twice").toEqual(["cups=3"]);
  });

  it("knows a change of what the pot does not have", () => {
    const kept = {
      name: "Pot",
      stages: [{ kind: "simmer" as const, minutes: 20 }],
      additions: [{ herb: "linden", stage: 0 }],
    };
    const there = [
      { stage: 0, part: "minutes", value: 3 },
      { addition: 0, part: "stage", value: 0 },
      { meant: "cups", says: "2" },
    ] as const;
    const gone = [
      { stage: 1, part: "minutes", value: 3 },
      { addition: 1, part: "stage", value: 0 },
    ] as const;
    expect(misplaced(kept, [...there, ...gone])).toEqual(gone);
  });

  it("carries a recipe, or none", () => {
    expect(readDoc('{"name":"Pot","additions":[{"herb":"linden"}],"stages":[]}')).toMatchObject({
      name: "Pot",
    });
    // A herb's page asks for a cup of it, and says no stages.
    expect(readDoc('{"name":"A cup","additions":[{"herb":"linden"}]}')).toMatchObject({ name: "A cup" });
    for (const none of [
      "",
      "broken",
      "3",
      "null",
      "[]",
      "{}",
      '{"additions":{},"stages":[]}',
      '{"additions":[1],"stages":[]}',
    ])
      expect(readDoc(none), none).toBeUndefined();
  });

  it("moves one thing once", () => {
    const once = tweaked(PLAIN, { stage: 1, part: "minutes", value: 10 });
    const twice = tweaked({ ...PLAIN, tweaks: once }, { stage: 1, part: "minutes", value: 25 });
    expect(twice).toEqual([{ stage: 1, part: "minutes", value: 25 }]);
  });

  it("moves the drawing's recipe and leaves the kept one", () => {
    const kept = {
      name: "Pot",
      stages: [{ kind: "simmer" as const, minutes: 20 }],
      additions: [{ herb: "linden", stage: 0 }],
    };
    const moved = applied(kept, [
      { stage: 0, part: "minutes", value: 35 },
      { addition: 0, part: "stage", value: 9 },
    ]);
    expect(moved.stages?.[0]?.minutes).toBe(35);
    expect(moved.additions?.[0]?.stage, "no herb goes in after the last stage").toBe(0);
    expect(kept.stages[0]?.minutes).toBe(20);
  });
});

describe("an order that is settled", () => {
  const people = [
    { id: "a", brewer: false, usualStrength: "gentle" },
    { id: "b", brewer: true, usualStrength: "strong" },
  ] as Person[];

  it("is for the one who brews, as strong as she likes it", () => {
    expect(settled(PLAIN, people)).toMatchObject({ drinkerId: "b", strength: "strong" });
    expect(settled({ ...PLAIN, drinkerId: "a" }, people).strength).toBe("gentle");
    expect(settled({ ...PLAIN, strength: "standard" }, people).strength).toBe("standard");
    expect(settled(PLAIN, undefined).strength).toBe("standard");
  });

  it("is ready today or tomorrow, never in the past", () => {
    const now = new Date(2026, 10, 25, 20, 0);
    expect(nextAt("21:05", now)).toEqual(new Date(2026, 10, 25, 21, 5));
    expect(nextAt("19:00", now)).toEqual(new Date(2026, 10, 26, 19, 0));
    expect(nextAt("20:00", now)).toEqual(new Date(2026, 10, 26, 20, 0));
    expect(nextAt("2026-11-28T07:30", now)).toEqual(new Date(2026, 10, 28, 7, 30));
    expect(nextAt(atOn(new Date(2026, 11, 1, 6, 5)), now)).toEqual(new Date(2026, 11, 1, 6, 5));
    const asked = ask("r", undefined, settled({ ...PLAIN, at: "21:05" }, people), now);
    expect(asked.startAt).toBeUndefined();
    expect(asked.readyAt).toBe(new Date(2026, 10, 25, 21, 5).toISOString());
  });
});
