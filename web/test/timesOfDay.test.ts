import { describe, expect, it } from "vitest";
import { timesOfDay } from "../src/screens/course/timesOfDay";

const every = (hours: number, from: number, many: number) =>
  Array.from({ length: many }, (_, i) => `${String(from + i * hours).padStart(2, "0")}:00`);

describe("the times of day of a course", () => {
  it.each([
    [every(1, 7, 15), "every hour from 07:00 to 21:00"],
    [every(2, 8, 8), "every 2 hours from 08:00 to 22:00"],
    [every(3, 9, 5), "every 3 hours from 09:00 to 21:00"],
    [every(6, 8, 3), "at 08:00, 14:00, 20:00"],
    [["08:00"], "at 08:00"],
    [["08:00", "10:00", "12:00", "15:00"], "at 08:00, 10:00, 12:00, 15:00"],
    [["08:00", "08:30", "09:00", "09:30"], "at 08:00, 08:30, 09:00, 09:30"],
    [["22:00", "20:00", "18:00", "16:00"], "at 22:00, 20:00, 18:00, 16:00"],
  ])("%j", (times, said) => {
    expect(timesOfDay(times)).toBe(said);
  });
});
