import { Component, type ComponentType, lazy, type ReactNode, Suspense, useEffect } from "react";
import {
  BrowserRouter,
  Navigate,
  Outlet,
  Route,
  Routes,
  useLocation,
  useNavigate,
  useParams,
} from "react-router";
import { useToday } from "./api/queries";
import { Astray, Broken } from "./ui/Astray";
import { Frame } from "./ui/Frame";
import { Loading } from "./ui/Loading";

type Screen = ComponentType<{ id: string }>;

/** A screen that comes when its address is opened; another id is another screen, "" is none. */
function screen(load: () => Promise<Screen>): ReactNode {
  const Loaded = lazy(async () => ({ default: await load() }));
  function Here() {
    const { id = "" } = useParams();
    return <Loaded key={id} id={id} />;
  }
  return <Here />;
}

const PLAN = screen(() => import("./plan/PlanScreen").then((m) => m.PlanScreen));
const FIRST = screen(() => import("./first/FirstVisit").then((m) => m.FirstVisit));
const TODAY = screen(() => import("./today/TodayScreen").then((m) => m.TodayScreen));
const SESSIONS = screen(() => import("./sessions/SessionsScreen").then((m) => m.SessionsScreen));
const MIX = screen(() => import("./mix/JustMixScreen").then((m) => m.JustMixScreen));
const MOULDS = screen(() => import("./moulds/MouldsScreen").then((m) => m.MouldsScreen));
const MAKE = screen(() => import("./moulds/MakeMould").then((m) => m.MakeMould));
const SHELF = screen(() => import("./shelf/ShelfScreen").then((m) => m.ShelfScreen));
const RUNS = screen(() => import("./pour/RunsScreen").then((m) => m.RunsScreen));
const BENCH = screen(() => import("./pour/PourScreen").then((m) => m.PourScreen));
const RECORD = screen(() => import("./record/RecordScreen").then((m) => m.RecordScreen));
const WHAT_IF = screen(() => import("./practice/PracticeScreen").then((m) => m.PracticeScreen));
const TIMING = screen(() => import("./practice/TimingScreen").then((m) => m.TimingScreen));
const WORKSHOP = screen(() => import("./workshop/WorkshopScreen").then((m) => m.WorkshopScreen));
const JOURNAL = screen(() => import("./journal/JournalScreen").then((m) => m.JournalScreen));
const PIECE = screen(() => import("./journal/PieceScreen").then((m) => m.PieceScreen));
const MANUAL = screen(() => import("./manual/ManualScreen").then((m) => m.ManualScreen));
const EVENINGS = screen(() =>
  import("./practice/RehearsalsScreen").then((m) => m.RehearsalsScreen),
);
const REHEARSED = screen(() => import("./practice/RehearsedScreen").then((m) => m.RehearsedScreen));
const EVENING = screen(() => import("./practice/RehearsalScreen").then((m) => m.RehearsalScreen));

/** Where in the product we are: real addresses, so that back, reload and a copied link work. */
export function App() {
  return (
    <BrowserRouter>
      <Older />
      <Routes>
        <Route path="pour/:id" element={<Whole>{BENCH}</Whole>} />
        <Route
          element={
            <Frame>
              <Whole>
                <Outlet />
              </Whole>
            </Frame>
          }
        >
          <Route index element={<Home />} />
          <Route path="plan" element={PLAN} />
          <Route path="plan/:id" element={PLAN} />
          <Route path="first" element={FIRST} />
          <Route path="today" element={TODAY} />
          <Route path="sessions" element={SESSIONS} />
          <Route path="mix" element={MIX} />
          <Route path="mix/:id" element={MIX} />
          <Route path="moulds" element={MOULDS} />
          <Route path="moulds/make" element={MAKE} />
          <Route path="moulds/:id" element={MOULDS} />
          <Route path="shelf" element={SHELF} />
          <Route path="shelf/:id" element={SHELF} />
          <Route path="pour" element={RUNS} />
          <Route path="pour/:id/record" element={RECORD} />
          <Route path="practice" element={WHAT_IF} />
          <Route path="practice/timing" element={TIMING} />
          <Route path="practice/rehearsal" element={EVENINGS} />
          <Route path="practice/rehearsal/:id" element={EVENING} />
          <Route path="practice/rehearsed/:id" element={REHEARSED} />
          <Route path="workshop" element={WORKSHOP} />
          <Route path="journal" element={JOURNAL} />
          <Route path="journal/:id/:piece" element={PIECE} />
          <Route path="manual" element={MANUAL} />
          <Route path="manual/:id" element={MANUAL} />
          <Route path="*" element={<Astray />} />
        </Route>
      </Routes>
    </BrowserRouter>
  );
}

/** Once something was poured the day begins with what is due, before that with a plan. */
function Home() {
  const { data, error } = useToday();
  // An older address is still to be followed.
  const older = useLocation().hash.startsWith("#/");
  return older || (data === undefined && error === null) ? (
    <Loading>Looking what is due…</Loading>
  ) : (
    <Navigate to={data?.record ? "/today" : "/plan"} replace />
  );
}

/** Addresses that were kept while everything stood behind the # lead on. */
function Older() {
  const { hash } = useLocation();
  const navigate = useNavigate();
  useEffect(() => {
    if (hash.startsWith("#/")) {
      void navigate(hash.slice(1), { replace: true });
    }
  }, [hash, navigate]);
  return null;
}

/** A screen until it is here, and what is said where it broke or does not come. */
function Whole({ children }: { children: ReactNode }) {
  const { pathname } = useLocation();
  return (
    <Breaks at={pathname}>
      <Suspense fallback={<Loading>Laying out the bench…</Loading>}>{children}</Suspense>
    </Breaks>
  );
}

interface BreaksProps {
  at: string;
  children: ReactNode;
}

class Breaks extends Component<BreaksProps, { brokenAt: string | null }> {
  override state = { brokenAt: null };

  override componentDidCatch() {
    this.setState({ brokenAt: this.props.at });
  }

  static getDerivedStateFromError() {
    return {};
  }

  override render() {
    // Another address is another try.
    return this.state.brokenAt === this.props.at ? <Broken /> : this.props.children;
  }
}
