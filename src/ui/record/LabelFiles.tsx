"use client";

import Button from "@mui/material/Button";
import { useState } from "react";
import { type LabelContent, stripWords } from "@/core";
import { saveFile } from "../parts/saveFile";
import { Trouble } from "../parts/Trouble";
import { TOUCH } from "../theme/measures";

const FORMS = ["PDF", "PDF, A6", "PNG", "SVG", "Strip"] as const;

/** The label as a file, by form. */
export function LabelFiles({ content }: { content: LabelContent }) {
  const [says, setSays] = useState("");
  const strip = stripWords(content);
  const save = async (form: (typeof FORMS)[number]) => {
    setSays("");
    try {
      const { labelPdf, labelPng, labelSvg, stripPdf } = await import("./labelForms");
      const drawn = document.querySelector<SVGSVGElement>("svg.label");
      const savePdf = (bytes: Uint8Array, name: string) =>
        saveFile(new Blob([bytes as Uint8Array<ArrayBuffer>], { type: "application/pdf" }), name);
      if (form === "PDF") savePdf(await labelPdf(content), "label.pdf");
      else if (form === "PDF, A6") savePdf(await labelPdf(content, "A6"), "label-a6.pdf");
      else if (form === "PNG") saveFile(await labelPng(content), "label.png");
      else if (form === "Strip" && strip) savePdf(await stripPdf(strip), "label-strip.pdf");
      else if (drawn) saveFile(labelSvg(drawn), "label.svg");
    } catch {
      setSays("That could not be made here; print the label to a file instead.");
    }
  };
  return (
    <>
      {FORMS.filter((form) => form !== "Strip" || strip).map((form) => (
        <Button
          key={form}
          color="inherit"
          aria-label={
            form === "Strip" ? `Save the strip for the shell, ${strip}` : `Save the label as ${form}`
          }
          onClick={() => void save(form)}
          sx={{ minHeight: TOUCH }}
        >
          {form}
        </Button>
      ))}
      {says === "" ? null : <Trouble>{says}</Trouble>}
    </>
  );
}
