// A page reads what it shows and no more: the queries of every main view are counted against a budget.
import type { ReactElement } from "react";
import { openSession } from "@/platform/sign-in/sessions";
import { BenchScreen } from "@/stages/bench/screens/bench";
import { ClassScreen } from "@/stages/bench/screens/class";
import { CompareScreen } from "@/stages/bench/screens/compare";
import { ExperimentScreen } from "@/stages/bench/screens/experiment";
import { LiveScreen } from "@/stages/bench/screens/live";
import { PilotScreen } from "@/stages/bench/screens/pilot";
import { BriefScreen } from "@/stages/brief/screens/brief";
import { BuildScreen } from "@/stages/builds/screens/build";
import { BuildsScreen } from "@/stages/builds/screens/builds";
import { FailuresScreen } from "@/stages/builds/screens/failures";
import { LimitsScreen } from "@/stages/builds/screens/limits";
import { MeetingScreen } from "@/stages/builds/screens/meeting";
import { PartsScreen } from "@/stages/builds/screens/parts";
import { PiecesScreen } from "@/stages/builds/screens/pieces";
import { TreeScreen } from "@/stages/builds/screens/tree";
import { ConceptsScreen } from "@/stages/concepts/screens/concepts";
import { BoardsScreen } from "@/stages/contest/screens/boards";
import { ContestScreen } from "@/stages/contest/screens/contest";
import { InspectionScreen as ContestInspection } from "@/stages/contest/screens/inspection";
import { JudgedScreen } from "@/stages/contest/screens/judged";
import { MatchesScreen } from "@/stages/contest/screens/matches";
import { OverallScreen } from "@/stages/contest/screens/overall";
import { OwnBoardScreen } from "@/stages/contest/screens/own-board";
import { PapersScreen } from "@/stages/contest/screens/papers";
import { ProgrammeScreen } from "@/stages/contest/screens/programme";
import { StewardScreen } from "@/stages/contest/screens/steward";
import { GradesScreen } from "@/stages/grades/screens/grades";
import { PeersScreen } from "@/stages/grades/screens/peers";
import { SchemeScreen } from "@/stages/grades/screens/scheme";
import { SpreadsheetScreen } from "@/stages/grades/screens/spreadsheet";
import { StudentGradeScreen } from "@/stages/grades/screens/student-grade";
import { InspectionScreen } from "@/stages/needs/screens/inspection";
import { NeedsScreen } from "@/stages/needs/screens/needs";
import { StatementsScreen } from "@/stages/needs/screens/statements";
import { NotebookScreen } from "@/stages/notebook/screens/notebook";
import { PeopleScreen } from "@/stages/people/screens/people";
import { CalendarScreen } from "@/stages/plan/screens/calendar";
import { GatesScreen } from "@/stages/plan/screens/gates";
import { PlanScreen } from "@/stages/plan/screens/plan";
import { RecordsScreen } from "@/stages/records/screens/records";
import { ClockScreen } from "@/stages/reviews/screens/clock";
import { PacketScreen } from "@/stages/reviews/screens/packet";
import { ReportScreen } from "@/stages/reviews/screens/report";
import { ReviewScreen } from "@/stages/reviews/screens/review";
import { ReviewsScreen } from "@/stages/reviews/screens/reviews";
import { SheetsScreen } from "@/stages/reviews/screens/sheets";
import { SlotsScreen } from "@/stages/reviews/screens/slots";
import { StoriesScreen } from "@/stages/reviews/screens/stories";
import { StoryScreen } from "@/stages/reviews/screens/story";
import { NewTool, ToolsPart } from "@/stages/shop/screens/tools";
import { FormingScreen } from "@/stages/teams/screens/forming";
import { TeamsScreen } from "@/stages/teams/screens/teams";
import { settle } from "@/stages/testing/render";
import { openClass } from "@/stages/testing/school";
import type { World } from "@/stages/testing/world";
import { AttentionScreen } from "@/stages/today/screens/attention";
import { CoreLogScreen } from "./log/screens/core-log";
import { ProjectShell } from "./shell/parts/project-shell";
import { TodayScreen } from "./today/screens/today";

let mockMemo = new Map<string, unknown>();
let mockSecret = "";
jest.mock("next/headers", () => ({
  cookies: async () => ({ get: () => ({ value: mockSecret }) }),
  headers: async () => new Map(),
}));
jest.mock("@/ui/markdown", () => ({ Markdown: () => null }));
// What React keeps for one request is kept here for one page.
jest.mock("react", () => {
  let id = 0;
  const cache = (f: (...args: unknown[]) => unknown) => {
    const mine = ++id;
    return (...args: unknown[]) => {
      const key = `${mine} ${JSON.stringify(args)}`;
      if (!mockMemo.has(key)) mockMemo.set(key, f(...args));
      return mockMemo.get(key);
    };
  };
  return { ...jest.requireActual("react"), cache };
});

const heard = globalThis as unknown as { ironstoneHeard?: (query: string) => void };
let done: () => Promise<void>;
let w: World;
let slug: string;
beforeAll(async () => {
  const opened = await openClass();
  ({ done, w } = opened);
  slug = w.slug;
  mockSecret = (await openSession((opened.boss as { id: string }).id)).secret;
});
afterAll(async () => {
  heard.ironstoneHeard = undefined;
  await done();
});

/** The queries of a page, those of its shell left out: they are counted once, by themselves. */
async function queriesOf(make: () => ReactElement): Promise<string[]> {
  await settle(make()); // what is kept is fresh from here on
  mockMemo = new Map();
  await settle(<ProjectShell slug={slug}>{null}</ProjectShell>);
  const queries: string[] = [];
  // The driver's own question, asked once a connection, is not the page's.
  heard.ironstoneHeard = (q) => /pg_catalog/.test(q) || queries.push(q.trim().replace(/\s+/g, " "));
  await settle(make());
  heard.ironstoneHeard = undefined;
  return queries;
}

const views: [string, number, () => ReactElement][] = [
  // Eight stages say what is waiting, each with one or two questions for all projects: more than other pages ask, and
  // no more for forty projects than for one.
  ["Today", 16, () => <TodayScreen />],
  ["core log", 12, () => <CoreLogScreen slug={slug} show="" />],
  ["brief", 12, () => <BriefScreen slug={slug} />],
  ["requirements", 12, () => <NeedsScreen slug={slug} />],
  ["a requirement", 12, () => <NeedsScreen slug={slug} open="R-01" />],
  ["statements", 12, () => <StatementsScreen slug={slug} />],
  ["inspection", 12, () => <InspectionScreen slug={slug} />],
  ["concepts", 12, () => <ConceptsScreen slug={slug} />],
  ["teams", 12, () => <TeamsScreen slug={slug} />],
  ["forming", 12, () => <FormingScreen slug={slug} />],
  ["plan", 12, () => <PlanScreen slug={slug} />],
  ["calendar", 12, () => <CalendarScreen slug={slug} />],
  [
    "gates",
    12,
    () => <GatesScreen slug={slug} toolsPart={<ToolsPart slug={slug} />} newTool={<NewTool slug={slug} />} />,
  ],
  ["builds", 12, () => <BuildsScreen slug={slug} />],
  ["a build", 12, () => <BuildScreen slug={slug} id={w.build} />],
  ["parts", 12, () => <PartsScreen slug={slug} id={w.build} />],
  ["pieces", 12, () => <PiecesScreen slug={slug} id={w.build} />],
  ["coming together", 12, () => <MeetingScreen slug={slug} />],
  ["teams to look at", 12, () => <AttentionScreen slug={slug} />],
  ["limits", 12, () => <LimitsScreen slug={slug} />],
  ["family tree", 12, () => <TreeScreen slug={slug} />],
  ["failures", 12, () => <FailuresScreen slug={slug} />],
  ["bench", 12, () => <BenchScreen slug={slug} />],
  ["whole class", 12, () => <ClassScreen slug={slug} asked={{}} />],
  ["comparison", 12, () => <CompareScreen slug={slug} wanted={{ by: "teams" }} />],
  ["an instrument", 12, () => <LiveScreen slug={slug} asked={{ protocol: w.protocol, build: w.build }} />],
  ["pilot runs", 12, () => <PilotScreen slug={slug} asked={{}} />],
  ["experiment", 12, () => <ExperimentScreen slug={slug} asked={{}} />],
  ["reviews", 12, () => <ReviewsScreen slug={slug} />],
  ["sheets of the class", 12, () => <SheetsScreen slug={slug} title="First review" />],
  ["stories", 12, () => <StoriesScreen slug={slug} />],
  ["a story", 14, () => <StoryScreen slug={slug} team={w.a} />],
  ["the class report", 12, () => <ReportScreen slug={slug} />],
  ["a review", 14, () => <ReviewScreen slug={slug} id={w.review} />],
  ["slots", 12, () => <SlotsScreen slug={slug} title="First review" />],
  ["the clock of a review", 12, () => <ClockScreen slug={slug} title="First review" />],
  ["a review's packet", 14, () => <PacketScreen slug={slug} id={w.review} />],
  ["grades", 12, () => <GradesScreen slug={slug} />],
  ["grading scheme", 12, () => <SchemeScreen slug={slug} />],
  // It goes down to the single run, and says what stands beside.
  ["a student's grade", 16, () => <StudentGradeScreen slug={slug} person={w.students[0]!} />],
  ["peer ratings", 12, () => <PeersScreen slug={slug} />],
  ["marks and spreadsheets", 12, () => <SpreadsheetScreen slug={slug} />],
  ["contest", 12, () => <ContestScreen slug={slug} />],
  ["programme of a contest", 12, () => <ProgrammeScreen slug={slug} />],
  ["inspection of a contest", 12, () => <ContestInspection slug={slug} build={w.build} />],
  ["boards", 12, () => <BoardsScreen slug={slug} />],
  ["matches", 12, () => <MatchesScreen slug={slug} />],
  ["steward", 12, () => <StewardScreen slug={slug} />],
  ["papers", 12, () => <PapersScreen slug={slug} what="results" />],
  ["judged", 12, () => <JudgedScreen slug={slug} />],
  ["overall", 12, () => <OverallScreen slug={slug} />],
  ["board", 12, () => <OwnBoardScreen slug={slug} />],
  ["records", 12, () => <RecordsScreen slug={slug} />],
  ["notebook", 12, () => <NotebookScreen slug={slug} />],
  ["people", 12, () => <PeopleScreen slug={slug} />],
];

test.each(views)("%s: at most %i queries beside its frame", async (_, budget, make) => {
  const queries = await queriesOf(make);
  expect({ over: Math.max(0, queries.length - budget), queries: queries.length > budget ? queries : [] }).toEqual({
    over: 0,
    queries: [],
  });
  // What is asked twice could have been asked once.
  expect(queries.filter((q, i) => queries.indexOf(q) !== i)).toEqual([]);
});

test("every main view is counted, and the count counts", async () => {
  const queries = await queriesOf(() => <PeopleScreen slug={slug} />);
  expect(queries.some((q) => /FROM (enrolment|staff) /.test(q))).toBe(true);
});
