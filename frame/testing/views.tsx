// Every main view of a project, with how many questions it may ask the database.
import type { ReactElement } from "react";
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
import { HandbookBeside, usesByEntry } from "@/stages/handbook/screens/beside";
import { HandbookScreen } from "@/stages/handbook/screens/handbook";
import { TrainerScreen } from "@/stages/handbook/screens/trainer";
import { InspectionScreen } from "@/stages/needs/screens/inspection";
import { NeedsScreen } from "@/stages/needs/screens/needs";
import { StatementsScreen } from "@/stages/needs/screens/statements";
import { BookScreen } from "@/stages/notebook/screens/book";
import { NotebookScreen } from "@/stages/notebook/screens/notebook";
import { PeopleScreen } from "@/stages/people/screens/people";
import { CalendarScreen } from "@/stages/plan/screens/calendar";
import { GatesScreen } from "@/stages/plan/screens/gates";
import { PlanScreen } from "@/stages/plan/screens/plan";
import { CuresScreen } from "@/stages/records/screens/cures";
import { EditionsScreen } from "@/stages/records/screens/editions";
import { FeaturesScreen } from "@/stages/records/screens/features";
import { GuideScreen } from "@/stages/records/screens/guide";
import { GuidesScreen } from "@/stages/records/screens/guides";
import { HonoursScreen } from "@/stages/records/screens/honours";
import { ModelsScreen } from "@/stages/records/screens/models";
import { RecordsScreen } from "@/stages/records/screens/records";
import { StartScreen } from "@/stages/records/screens/start";
import { ClockScreen } from "@/stages/reviews/screens/clock";
import { PacketScreen } from "@/stages/reviews/screens/packet";
import { ReportScreen } from "@/stages/reviews/screens/report";
import { ReviewScreen } from "@/stages/reviews/screens/review";
import { ReviewsScreen } from "@/stages/reviews/screens/reviews";
import { SheetsScreen } from "@/stages/reviews/screens/sheets";
import { SlotsScreen } from "@/stages/reviews/screens/slots";
import { StoriesScreen } from "@/stages/reviews/screens/stories";
import { StoryScreen } from "@/stages/reviews/screens/story";
import { CutListScreen } from "@/stages/shop/screens/cut-list";
import { CuttingScreen } from "@/stages/shop/screens/cutting";
import { DoorScreen } from "@/stages/shop/screens/door";
import { SafetyScreen } from "@/stages/shop/screens/safety";
import { SettingsScreen } from "@/stages/shop/screens/settings";
import { ShopScreen } from "@/stages/shop/screens/shop";
import { StockScreen } from "@/stages/shop/screens/stock";
import { NewTool, ToolsPart } from "@/stages/shop/screens/tools";
import { TrainingScreen } from "@/stages/shop/screens/training";
import { FormingScreen } from "@/stages/teams/screens/forming";
import { TeamsScreen } from "@/stages/teams/screens/teams";
import type { World } from "@/stages/testing/world";
import { AttendanceScreen } from "@/stages/today/screens/attendance";
import { AttentionScreen } from "@/stages/today/screens/attention";
import { ClassScreen as ClassOfDay } from "@/stages/today/screens/class";
import { ClassSheetScreen } from "@/stages/today/screens/class-sheet";
import { CoreLogScreen } from "../log/screens/core-log";
import { SearchScreen } from "../search/screens/search";
import { TodayScreen } from "../today/screens/today";
import { waitingIn } from "../today/waiting";
import { TeamBookletScreen } from "../whole/screens/booklet";
import { ClassBookletScreen } from "../whole/screens/class-booklet";
import { StudentScreen } from "../whole/screens/student";
import { TeamScreen } from "../whole/screens/team";

/** The main views: their name, their budget of queries, and what makes them of a project. */
export const views: [name: string, budget: number, make: (w: World) => ReactElement][] = [
  // Eight stages say what is waiting, each with one or two questions for all projects: more than other pages ask, and
  // no more for forty projects than for one.
  ["Today", 17, () => <TodayScreen />],
  ["core log", 12, ({ slug }) => <CoreLogScreen slug={slug} show="" />],
  ["brief", 12, ({ slug }) => <BriefScreen slug={slug} />],
  ["requirements", 12, ({ slug }) => <NeedsScreen slug={slug} />],
  ["a requirement", 12, ({ slug }) => <NeedsScreen slug={slug} open="R-01" />],
  ["statements", 12, ({ slug }) => <StatementsScreen slug={slug} />],
  ["inspection", 12, ({ slug }) => <InspectionScreen slug={slug} />],
  ["concepts", 12, ({ slug }) => <ConceptsScreen slug={slug} />],
  ["teams", 12, ({ slug }) => <TeamsScreen slug={slug} />],
  ["forming", 12, ({ slug }) => <FormingScreen slug={slug} />],
  ["plan", 12, ({ slug }) => <PlanScreen slug={slug} />],
  ["calendar", 12, ({ slug }) => <CalendarScreen slug={slug} />],
  [
    "gates",
    12,
    ({ slug }) => <GatesScreen slug={slug} toolsPart={<ToolsPart slug={slug} />} newTool={<NewTool slug={slug} />} />,
  ],
  ["builds", 12, ({ slug }) => <BuildsScreen slug={slug} />],
  ["a build", 12, (w) => <BuildScreen slug={w.slug} id={w.build} />],
  ["parts", 12, (w) => <PartsScreen slug={w.slug} id={w.build} />],
  ["pieces", 12, (w) => <PiecesScreen slug={w.slug} id={w.build} />],
  ["coming together", 12, ({ slug }) => <MeetingScreen slug={slug} />],
  // What waits in all stages stands on it, as on Today.
  [
    "class of a day",
    22,
    ({ slug }) => (
      <ClassOfDay
        slug={slug}
        asked={{ part: "before" }}
        waitsIn={async (id, today) => (await waitingIn([id], today, "class")).get(id) ?? []}
      />
    ),
  ],
  ["in class", 12, ({ slug }) => <ClassOfDay slug={slug} asked={{ part: "during" }} waitsIn={async () => []} />],
  ["after class", 12, ({ slug }) => <ClassOfDay slug={slug} asked={{ part: "after" }} waitsIn={async () => []} />],
  ["sheet of a class", 12, ({ slug }) => <ClassSheetScreen slug={slug} asked={{}} />],
  ["attendance", 12, ({ slug }) => <AttendanceScreen slug={slug} />],
  ["a team", 12, (w) => <TeamScreen slug={w.slug} team={w.a} />],
  ["a student", 12, (w) => <StudentScreen slug={w.slug} person={w.students[0]!} />],
  ["a bound notebook", 12, (w) => <BookScreen slug={w.slug} person={w.students[0]!} />],
  ["teams to look at", 12, ({ slug }) => <AttentionScreen slug={slug} />],
  ["limits", 12, ({ slug }) => <LimitsScreen slug={slug} />],
  ["family tree", 12, ({ slug }) => <TreeScreen slug={slug} />],
  ["failures", 12, ({ slug }) => <FailuresScreen slug={slug} />],
  ["bench", 12, ({ slug }) => <BenchScreen slug={slug} />],
  ["whole class", 12, ({ slug }) => <ClassScreen slug={slug} asked={{}} />],
  ["comparison", 12, ({ slug }) => <CompareScreen slug={slug} wanted={{ by: "teams" }} />],
  ["an instrument", 12, (w) => <LiveScreen slug={w.slug} asked={{ protocol: w.protocol, build: w.build }} />],
  ["pilot runs", 12, ({ slug }) => <PilotScreen slug={slug} asked={{}} />],
  ["experiment", 12, ({ slug }) => <ExperimentScreen slug={slug} asked={{}} />],
  ["reviews", 12, ({ slug }) => <ReviewsScreen slug={slug} />],
  ["sheets of the class", 12, ({ slug }) => <SheetsScreen slug={slug} title="First review" />],
  ["stories", 12, ({ slug }) => <StoriesScreen slug={slug} />],
  ["a story", 14, (w) => <StoryScreen slug={w.slug} team={w.a} />],
  ["the class report", 12, ({ slug }) => <ReportScreen slug={slug} />],
  ["a review", 14, (w) => <ReviewScreen slug={w.slug} id={w.review} />],
  ["slots", 12, ({ slug }) => <SlotsScreen slug={slug} title="First review" />],
  ["the clock of a review", 12, ({ slug }) => <ClockScreen slug={slug} title="First review" />],
  ["a review's packet", 14, (w) => <PacketScreen slug={w.slug} id={w.review} />],
  ["grades", 12, ({ slug }) => <GradesScreen slug={slug} />],
  ["grading scheme", 12, ({ slug }) => <SchemeScreen slug={slug} />],
  // It goes down to the single run, and says what stands beside.
  ["a student's grade", 16, (w) => <StudentGradeScreen slug={w.slug} person={w.students[0]!} />],
  ["peer ratings", 12, ({ slug }) => <PeersScreen slug={slug} />],
  ["marks and spreadsheets", 12, ({ slug }) => <SpreadsheetScreen slug={slug} />],
  ["contest", 12, ({ slug }) => <ContestScreen slug={slug} />],
  ["programme of a contest", 12, ({ slug }) => <ProgrammeScreen slug={slug} />],
  ["inspection of a contest", 12, (w) => <ContestInspection slug={w.slug} build={w.build} />],
  ["boards", 12, ({ slug }) => <BoardsScreen slug={slug} />],
  ["matches", 12, ({ slug }) => <MatchesScreen slug={slug} />],
  ["steward", 12, ({ slug }) => <StewardScreen slug={slug} />],
  ["papers", 12, ({ slug }) => <PapersScreen slug={slug} what="results" />],
  ["judged", 12, ({ slug }) => <JudgedScreen slug={slug} />],
  ["overall", 12, ({ slug }) => <OverallScreen slug={slug} />],
  ["board", 12, ({ slug }) => <OwnBoardScreen slug={slug} />],
  ["records", 12, ({ slug }) => <RecordsScreen slug={slug} />],
  ["editions", 12, ({ slug }) => <EditionsScreen slug={slug} />],
  ["faults and cures", 12, ({ slug }) => <CuresScreen slug={slug} />],
  ["start from an earlier build", 12, ({ slug }) => <StartScreen slug={slug} />],
  ["kept models", 12, ({ slug }) => <ModelsScreen slug={slug} />],
  ["build guides", 12, ({ slug }) => <GuidesScreen slug={slug} />],
  ["a build guide", 12, (w) => <GuideScreen slug={w.slug} id={w.guide} />],
  ["honours", 12, ({ slug }) => <HonoursScreen slug={slug} />],
  ["booklet of a class", 12, ({ slug }) => <ClassBookletScreen slug={slug} />],
  ["booklet of a team", 12, (w) => <TeamBookletScreen slug={w.slug} team={w.a} />],
  ["features over the years", 12, ({ slug }) => <FeaturesScreen slug={slug} />],
  [
    "notebook",
    12,
    ({ slug }) => (
      <NotebookScreen slug={slug} beside={(entries) => usesByEntry(slug, entries)} mark={async () => null} />
    ),
  ],
  ["handbook", 12, ({ slug }) => <HandbookScreen slug={slug} />],
  ["search", 12, ({ slug }) => <SearchScreen slug={slug} typed="the" />],
  ["shop", 12, ({ slug }) => <ShopScreen slug={slug} />],
  ["at a machine", 12, (w) => <DoorScreen slug={w.slug} id={w.machine} />],
  ["training", 12, ({ slug }) => <TrainingScreen slug={slug} />],
  ["safety", 12, ({ slug }) => <SafetyScreen slug={slug} />],
  ["stock", 14, ({ slug }) => <StockScreen slug={slug} />],
  ["cutting", 12, ({ slug }) => <CuttingScreen slug={slug} />],
  ["a cut list", 12, (w) => <CutListScreen slug={w.slug} id={w.cuts} />],
  ["machine settings", 12, ({ slug }) => <SettingsScreen slug={slug} />],
  ["trainer", 12, ({ slug }) => <TrainerScreen slug={slug} of="round" seed="1" />],
  [
    "calculations beside a requirement",
    3,
    ({ slug }) => <HandbookBeside slug={slug} kind="requirement" named="R-01" />,
  ],
  ["calculations beside a build", 3, (w) => <HandbookBeside slug={w.slug} kind="build" named={w.build} />],
  ["people", 12, ({ slug }) => <PeopleScreen slug={slug} />],
];
