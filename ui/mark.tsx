/** Ironstone's mark: a broken stone with its iron core. */
export function Mark({ size = 20 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden="true">
      <path d="M9 3h14l7 9-3 13-10 5-11-4L2 14z" fill="#9A3B22" />
      <path d="M12 10h8l4 6-3 7-8 1-5-6z" fill="#F3EFE7" />
      <circle cx="16" cy="17" r="3.4" fill="#9A3B22" />
    </svg>
  );
}
