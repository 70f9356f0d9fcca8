/** What a tablet needs to put the scorer's and judge's page beside its other applications. */
export const GET = (): Response =>
  Response.json(
    {
      name: "Ironstone scoring",
      short_name: "Scoring",
      id: "/guest",
      start_url: "/guest",
      scope: "/guest",
      display: "standalone",
      background_color: "#f3efe7",
      theme_color: "#f3efe7",
      icons: [{ src: "/icon.svg", sizes: "any", type: "image/svg+xml", purpose: "any" }],
    },
    { headers: { "content-type": "application/manifest+json", "cache-control": "no-cache" } },
  );
