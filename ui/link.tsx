import NextLink from "next/link";
import type { ComponentProps } from "react";

/**
 * A link that is fetched when it is followed. Every page is computed for its reader, so fetching ahead what may never
 * be opened would cost the server more than it saves.
 */
export default function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
