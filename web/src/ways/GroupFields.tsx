import Box from "@mui/material/Box";
import { errorsUnder, type FieldError } from "../api/client";
import { useUnits } from "../units/UnitsProvider";
import { Fields } from "../ui/Fields";
import { inUnits } from "../words/inUnits";
import type { Group, Ways } from "./group";
import { HandsOf } from "./HandsOf";
import { HoursFields } from "./HoursFields";
import { RoomFields } from "./RoomFields";

interface Props {
  group: Group;
  ways: Ways;
  /** By paths of a `Ways`. */
  errors: FieldError[];
  onChange: (ways: Ways) => void;
}

/** The fields of one group, and what its choices do. */
export function GroupFields({ group, ways, errors, onChange }: Props) {
  const units = useUnits();
  return (
    <Box>
      {group.key === "hours" ? (
        <HoursFields
          hours={ways.hours}
          errors={errorsUnder(errors, "hours")}
          onChange={(hours) => onChange({ ...ways, hours })}
        />
      ) : group.key === "room" ? (
        <RoomFields
          room={ways.room}
          errors={errorsUnder(errors, "room")}
          onChange={(room) => onChange({ ...ways, room })}
        />
      ) : (
        <>
          {group.key === "hands" && (
            <HandsOf
              onTake={(hands) => onChange({ ...ways, hands: { ...ways.hands, ...hands } })}
            />
          )}
          <Fields
            label={group.title}
            specs={group.specs(ways)}
            draft={ways}
            errors={errors}
            onChange={onChange}
          />
        </>
      )}
      {group.why(ways, units).map((line) => (
        <Box
          key={line}
          sx={{ color: "text.secondary", fontSize: "0.87rem", mt: 0.5, maxWidth: 900 }}
        >
          {inUnits(line, units)}
        </Box>
      ))}
    </Box>
  );
}
