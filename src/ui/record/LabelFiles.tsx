"use client";

import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import type { LabelContent } from "@/core";
import { saveFile } from "../parts/saveFile";
import { TOUCH } from "../theme/theme";

const FORMS = ["PDF", "PNG", "SVG"] as const;

/** The label as a file, by form. */
export function LabelFiles({ content }: { content: LabelContent }) {
  const [says, setSays] = useState("");
  const save = async (form: (typeof FORMS)[number]) => {
    setSays("");
    try {
      const { labelPdf, labelPng, labelSvg } = await import("./labelForms");
      const name = `label.${form.toLowerCase()}`;
      const drawn = document.querySelector<SVGSVGElement>("svg.label");
      if (form === "PDF") {
        const bytes = await labelPdf(content);
        saveFile(new Blob([bytes as Uint8Array<ArrayBuffer>], { type: "application/pdf" }), name);
      } else if (form === "PNG") saveFile(await labelPng(content), name);
      else if (drawn) saveFile(labelSvg(drawn), name);
    } catch {
      setSays("That could not be made here; print the label to a file instead.");
    }
  };
  return (
    <>
      {FORMS.map((form) => (
        <Button
          key={form}
          color="inherit"
          aria-label={`Save the label as ${form}`}
          onClick={() => void save(form)}
          sx={{ minHeight: TOUCH }}
        >
          {form}
        </Button>
      ))}
      {says === "" ? null : (
        <Typography role="alert" sx={{ color: "warning.main", fontWeight: 600 }}>
          {says}
        </Typography>
      )}
    </>
  );
}
