import type * as row from "@/platform/db/rows";
import "server-only";

import { db } from "@/platform/db/db";

export const guestLinksOf = (projectId: string) => db()<
  {
    id: row.GuestLink["id"];
    role: row.GuestLink["role"];
    label: row.GuestLink["label"];
    expiresAt: row.GuestLink["expiresAt"];
    revokedAt: row.GuestLink["revokedAt"];
    hasPin: boolean;
  }[]
>`
  SELECT id, role, label, expires_at, revoked_at, pin_hash IS NOT NULL AS has_pin
  FROM guest_link
  WHERE project_id = ${projectId}
  ORDER BY id
`;
