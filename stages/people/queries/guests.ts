import type { GuestRole } from "@/core/vocabulary/project";
import "server-only";

import { db } from "@/platform/db/db";

export const guestLinksOf = (projectId: string) => db()<
  { id: string; role: GuestRole; label: string; expiresAt: string; revokedAt: string | null; hasPin: boolean }[]
>`
  SELECT id, role, label, expires_at, revoked_at, pin_hash IS NOT NULL AS has_pin
  FROM guest_link
  WHERE project_id = ${projectId}
  ORDER BY id
`;
