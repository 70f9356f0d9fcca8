import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  typescript: { ignoreBuildErrors: true }, // types are checked by ./ironstone test
  serverExternalPackages: ["@node-rs/argon2", "sharp", "postgres"],
  experimental: {
    optimizePackageImports: ["radix-ui"],
    serverActions: { bodySizeLimit: "64mb" },
    proxyClientMaxBodySize: "64mb",
  },
  turbopack: { root: __dirname },
};
export default config;
