import { attendanceOf } from "./attendance";

const on = (date: string, state: "absent" | "excused" | "late" | "left early", minutes: number | null = null) => ({
  date,
  state,
  minutes,
});

test("who has no mark was there; excused classes are left out of the share, late ones are attended", () => {
  const days = ["2027-02-01", "2027-02-02", "2027-02-04", "2027-02-08"];
  expect(attendanceOf(days, [on("2027-02-01", "absent"), on("2027-02-02", "excused")])).toMatchObject({
    taken: 4,
    whole: 2,
    absent: 1,
    excused: 1,
    share: 2 / 3,
  });
  expect(attendanceOf(days, [on("2027-02-01", "late", 5), on("2027-02-08", "left early", 12)])).toMatchObject({
    late: 1,
    leftEarly: 1,
    minutes: 17,
    share: 1,
  });
});

test("nothing was taken: there is no share; a mark on a day that was not taken counts as a class", () => {
  expect(attendanceOf([], [])).toMatchObject({ taken: 0, whole: 0, share: null });
  expect(attendanceOf(["2027-02-01"], [on("2027-02-02", "absent")])).toMatchObject({ taken: 2, whole: 1, share: 0.5 });
  expect(attendanceOf([], [on("2027-02-02", "excused")]).share).toBeNull();
});
