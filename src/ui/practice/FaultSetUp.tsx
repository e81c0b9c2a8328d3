"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod/mini";
import { type FaultWish, faultHandedIn } from "@/core/practice";
import { FormEntry } from "../parts/form/FormEntry";
import { EquipmentChoice } from "./EquipmentChoice";
import { learner, SetUpForm } from "./SetUpForm";

const setUp = z.extend(faultHandedIn.shape.wish, { person: learner });

/** Who looks, and on which equipment. */
export function FaultSetUp({
  person,
  onBegin,
}: {
  readonly person: string;
  readonly onBegin: (person: string, wish: FaultWish) => void;
}) {
  const { control, handleSubmit } = useForm<z.input<typeof setUp>>({
    resolver: zodResolver(setUp),
    defaultValues: { person, equipment: "surprise" },
  });
  return (
    <SetUpForm
      label="A machine to practice on"
      begins="Bring it in"
      columns={2}
      onSubmit={handleSubmit(({ person: who, ...wish }) => onBegin(who, wish))}
    >
      <FormEntry control={control} name="person" label="Your name, to keep results by" maxLength={40} />
      <EquipmentChoice control={control} name="equipment" />
    </SetUpForm>
  );
}
