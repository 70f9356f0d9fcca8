import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  typescript: { ignoreBuildErrors: true }, // types are checked by ./ironstone test
  serverExternalPackages: ["@node-rs/argon2", "sharp", "postgres"],
  experimental: {
    optimizePackageImports: ["radix-ui"],
    // Written once a version on a school's server, where the cache costs half as much again and serves nobody.
    turbopackFileSystemCacheForBuild: process.env.IRONSTONE_BUILD_CACHE === "1",
    serverActions: { bodySizeLimit: "64mb" },
    proxyClientMaxBodySize: "64mb",
  },
  turbopack: { root: __dirname },
};
export default config;
