"use client";

import type { Control, FieldPath, FieldValues } from "react-hook-form";
import { WIRING_EQUIPMENT } from "@/core/practice";
import { compartmentById } from "@/core/wiring";
import { FormChoice } from "../parts/form/FormChoice";

/** The equipment to practise on, or any. */
export function EquipmentChoice<Values extends FieldValues, Kept>({
  control,
  name,
}: {
  readonly control: Control<Values, unknown, Kept>;
  readonly name: FieldPath<Values>;
}) {
  return (
    <FormChoice control={control} name={name} label="Equipment">
      <option value="surprise">surprise</option>
      {WIRING_EQUIPMENT.map((id) => (
        <option key={id} value={id}>
          {compartmentById(id)?.title ?? id}
        </option>
      ))}
    </FormChoice>
  );
}
