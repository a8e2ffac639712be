import { QueryClientProvider } from "@tanstack/react-query";
import { lazy, StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, Link, RouterProvider, useRouteError } from "react-router";
import { queryClient } from "./api/queries";
import { Shell } from "./parts/Shell";
import { Empty, Trouble } from "./parts/states";
import { Today } from "./screens/today/Today";
import "./style.css";

const Choose = lazy(() => import("./screens/choose/Choose"));
const Recipe = lazy(() => import("./screens/recipe/Recipe"));
const Sheet = lazy(() => import("./screens/sheet/Sheet"));
const Live = lazy(() => import("./screens/live/Live"));
const Compare = lazy(() => import("./screens/notebook/Compare"));
const Notebook = lazy(() => import("./screens/notebook/Notebook"));
const Herbs = lazy(() => import("./screens/herbs/Herbs"));
const Keeping = lazy(() => import("./screens/keeping/Keeping"));
const Household = lazy(() => import("./screens/household/Household"));

function Failed() {
  const error = useRouteError();
  return <Trouble error={error} again={() => window.location.reload()} />;
}

function Nowhere() {
  return (
    <Empty title="There is no such page">
      <Link className="underline" to="/">
        Go to Today
      </Link>
    </Empty>
  );
}

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Failed />,
    children: [
      { path: "/", element: <Today /> },
      { path: "/choose", element: <Choose /> },
      { path: "/recipe/new", element: <Recipe /> },
      { path: "/recipe/:id", element: <Recipe /> },
      { path: "/sheet/:recipeId", element: <Sheet /> },
      { path: "/brew/:id", element: <Live /> },
      { path: "/compare", element: <Compare /> },
      { path: "/notebook", element: <Notebook /> },
      { path: "/herbs/:slug?", element: <Herbs /> },
      { path: "/keeping", element: <Keeping /> },
      { path: "/household", element: <Household /> },
      { path: "*", element: <Nowhere /> },
    ],
  },
]);

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
