import { QueryClientProvider } from "@tanstack/react-query";
import { type ComponentType, lazy, StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Link, RouterProvider, useRouteError } from "react-router";
import { api } from "./api/client";
import { beyondHere } from "./api/door";
import { useHouse } from "./api/house";
import { queryClient } from "./api/queries";
import { Shell } from "./parts/Shell";
import { Empty, Trouble } from "./parts/states";
import { Today } from "./screens/today/Today";
import { say } from "./words/say";
import "./style.css";
import { language } from "./words/catalogue";

const Choose = lazy(() => import("./screens/choose/Choose"));
const Recipe = lazy(() => import("./screens/recipe/Recipe"));
const Sheet = lazy(() => import("./screens/sheet/Sheet"));
const Together = lazy(() => import("./screens/together/Together"));
const Live = lazy(() => import("./screens/live/Live"));
const Compare = lazy(() => import("./screens/notebook/Compare"));
const Notebook = lazy(() => import("./screens/notebook/Notebook"));
const Herbs = lazy(() => import("./screens/herbs/Herbs"));
const Keeping = lazy(() => import("./screens/keeping/Keeping"));
const Course = lazy(() => import("./screens/course/Course"));
const Week = lazy(() => import("./screens/week/Week"));
const Household = lazy(() => import("./screens/household/Household"));

/** A screen, drawn anew when the house reads its numbers in other units. */
function InHouse({ screen: Screen }: { screen: ComponentType }) {
  useHouse();
  return <Screen />;
}

function Failed() {
  const error = useRouteError();
  return <Trouble error={error} again={() => window.location.reload()} />;
}

function Nowhere() {
  return (
    <Empty page title={say("common.thereIsNoSuchPage")}>
      <Link className="underline" to="/">
        {say("common.goToToday")}
      </Link>
    </Empty>
  );
}

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Failed />,
    children: [
      { path: "/", element: <InHouse screen={Today} /> },
      { path: "/choose", element: <InHouse screen={Choose} /> },
      { path: "/recipe/new", element: <InHouse screen={Recipe} /> },
      { path: "/recipe/:id", element: <InHouse screen={Recipe} /> },
      { path: "/sheet/:recipeId", element: <InHouse screen={Sheet} /> },
      { path: "/together", element: <InHouse screen={Together} /> },
      { path: "/brew/:id", element: <InHouse screen={Live} /> },
      { path: "/compare", element: <InHouse screen={Compare} /> },
      { path: "/notebook", element: <InHouse screen={Notebook} /> },
      { path: "/herbs/:slug?", element: <InHouse screen={Herbs} /> },
      { path: "/keeping", element: <InHouse screen={Keeping} /> },
      { path: "/course/new", element: <InHouse screen={Course} /> },
      { path: "/course/:id", element: <InHouse screen={Course} /> },
      { path: "/week", element: <InHouse screen={Week} /> },
      { path: "/household", element: <InHouse screen={Household} /> },
      { path: "*", element: <Nowhere /> },
    ],
  },
]);

// A paired device is told the token for its changes once, before it makes any.
if (beyondHere()) void api.me().catch(() => {});

document.documentElement.lang = language;
const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}
