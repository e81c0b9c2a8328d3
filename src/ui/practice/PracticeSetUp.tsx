"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { useForm } from "react-hook-form";
import * as z from "zod/mini";
import {
  DIFFICULTIES,
  handedIn,
  PRACTICE_FAMILIES,
  PRACTICE_FAULTS,
  type PracticeWish,
} from "@/core/practice";
import { FormChoice } from "../parts/form/FormChoice";
import { FormEntry } from "../parts/form/FormEntry";
import { useWords } from "../words/UsageProvider";
import { learner, SetUpForm } from "./SetUpForm";
import { FAULT_WORDS } from "./words";

const DIFFICULTY_WORDS = {
  easy: "up to 4 leads",
  usual: "4 to 6 leads",
  hard: "6 leads and more",
} as const;

const setUp = z.extend(handedIn.shape.wish, { person: learner });

/** Who practises, and on what. */
export function PracticeSetUp({
  person,
  onBegin,
}: {
  readonly person: string;
  readonly onBegin: (person: string, wish: PracticeWish) => void;
}) {
  const say = useWords();
  const { control, handleSubmit } = useForm<z.input<typeof setUp>>({
    resolver: zodResolver(setUp),
    defaultValues: { person, family: "surprise", difficulty: "easy", fault: "none" },
  });
  return (
    <SetUpForm
      label="A motor to practice on"
      begins="Put it on the bench"
      columns={4}
      onSubmit={handleSubmit(({ person: who, ...wish }) => onBegin(who, wish))}
    >
      <FormEntry control={control} name="person" label="Your name, to keep results by" maxLength={40} />
      <FormChoice control={control} name="family" label="Kind of motor">
        <option value="surprise">surprise</option>
        {PRACTICE_FAMILIES.map(({ id, title }) => (
          <option key={id} value={id}>
            {say(title)}
          </option>
        ))}
      </FormChoice>
      <FormChoice control={control} name="difficulty" label="How many leads">
        {DIFFICULTIES.map((difficulty) => (
          <option key={difficulty} value={difficulty}>
            {DIFFICULTY_WORDS[difficulty]}
          </option>
        ))}
      </FormChoice>
      <FormChoice control={control} name="fault" label="What is wrong with it">
        <option value="surprise">surprise</option>
        {PRACTICE_FAULTS.map((fault) => (
          <option key={fault} value={fault}>
            {FAULT_WORDS[fault]}
          </option>
        ))}
      </FormChoice>
    </SetUpForm>
  );
}
