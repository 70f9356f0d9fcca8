/** A line of words on a sheet that is gone through by keys. */
export const SheetWords = ({
  label,
  most,
  value,
  onChange,
}: {
  label: string;
  most: number;
  value: string;
  onChange: (text: string) => void;
}) => (
  <label className="grid gap-0.5 text-sm">
    <span>{label}</span>
    <input
      data-line
      className="input min-h-11"
      maxLength={most}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    />
  </label>
);
