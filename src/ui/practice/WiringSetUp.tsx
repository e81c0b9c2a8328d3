"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod/mini";
import { type WiringTaskWish, wiringHandedIn } from "@/core/practice";
import { FormChoice } from "../parts/form/FormChoice";
import { FormEntry } from "../parts/form/FormEntry";
import { EquipmentChoice } from "./EquipmentChoice";
import { learner, SetUpForm } from "./SetUpForm";

const setUp = z.extend(wiringHandedIn.shape.wish, { person: learner });

/** Who wires, what, and on which equipment. */
export function WiringSetUp({
  person,
  onBegin,
}: {
  readonly person: string;
  readonly onBegin: (person: string, wish: WiringTaskWish) => void;
}) {
  const { control, handleSubmit } = useForm<z.input<typeof setUp>>({
    resolver: zodResolver(setUp),
    defaultValues: { person, task: "wire-it", equipment: "surprise" },
  });
  return (
    <SetUpForm
      label="A wiring to practice on"
      begins="Lay it out"
      columns={3}
      onSubmit={handleSubmit(({ person: who, ...wish }) => onBegin(who, wish))}
    >
      <FormEntry control={control} name="person" label="Your name, to keep results by" maxLength={40} />
      <FormChoice control={control} name="task" label="What to do">
        <option value="wire-it">wire this motor</option>
        <option value="find-it">find what is wrong</option>
      </FormChoice>
      <EquipmentChoice control={control} name="equipment" />
    </SetUpForm>
  );
}
