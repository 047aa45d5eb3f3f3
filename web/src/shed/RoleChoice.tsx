import { type Role, ROLES, STAFF } from './roles';

/** What somebody is to be, with what that lets them do. */
export function RoleChoice({ value, onChange }: { value: Role; onChange: (role: Role) => void }) {
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1">Is</legend>
      {STAFF.map((role) => (
        <label key={role} className="flex min-h-11 items-center gap-3 leading-tight">
          <input
            type="radio"
            name="role"
            className="size-5 shrink-0"
            checked={value === role}
            onChange={() => {
              onChange(role);
            }}
          />
          <span>
            <b>{ROLES[role].name}</b>: {ROLES[role].does}
          </span>
        </label>
      ))}
    </fieldset>
  );
}
