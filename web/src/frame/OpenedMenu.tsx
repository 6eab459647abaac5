import { AlertDialog, DropdownMenu } from "radix-ui";
import { ChevronDown } from "lucide-react";
import { useState } from "react";
import { openDemo } from "../store/opening.ts";
import { help } from "../store/helping.ts";
import { report } from "../store/notices.ts";
import { showPapers } from "../store/papers.ts";
import { remember, useSettings, type Theme } from "../store/settings.ts";
import { savePackedPlan, savePlanFile } from "./files.ts";
import { OPEN_FORMATS, saveOpenFile } from "./openFiles.ts";
import { PlansMenu } from "./PlansMenu.tsx";

/** The plan as a file, other trips, the demo, the theme. It is open when it comes. */
export default function OpenedMenu({ onImport }: { onImport: () => void }) {
  const theme = useSettings((state) => state.theme);
  const [asking, setAsking] = useState(false);
  return (
    <>
      <DropdownMenu.Root defaultOpen modal={false}>
        <DropdownMenu.Trigger className="bar-button">
          Plan <ChevronDown size={14} aria-hidden="true" />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" sideOffset={4} className="menu">
            <DropdownMenu.Item className="menu-item" onSelect={() => void savePlanFile()}>
              Export plan file
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={() => void savePackedPlan().catch(report)}>
              Export compressed plan file (gzip)
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={() => showPapers(["overview", "leg-cards"])}>
              Print or share…
            </DropdownMenu.Item>
            {OPEN_FORMATS.map((format) => (
              <DropdownMenu.Item key={format.ending} className="menu-item" onSelect={() => void saveOpenFile(format)}>
                {format.label}
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Item className="menu-item" onSelect={onImport}>
              Import plan file…
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={() => window.location.assign("/begin/")}>
              Start your own trip…
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={() => help("examples")}>
              Examples…
            </DropdownMenu.Item>
            <PlansMenu />
            <DropdownMenu.Item className="menu-item" onSelect={() => setAsking(true)}>
              Reset the demo…
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 h-px bg-rule" />
            <DropdownMenu.RadioGroup value={theme} onValueChange={(value) => remember("theme", value as Theme)}>
              {(["system", "light", "dark", "night"] as const).map((value) => (
                <DropdownMenu.RadioItem key={value} value={value} className="menu-item data-[state=checked]:font-bold">
                  {
                    {
                      system: "Match device",
                      light: "Light",
                      dark: "Dark",
                      night: "Night (red on black)",
                    }[value]
                  }
                </DropdownMenu.RadioItem>
              ))}
            </DropdownMenu.RadioGroup>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <AlertDialog.Root open={asking} onOpenChange={setAsking}>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="overlay" />
          <AlertDialog.Content className="dialog max-w-md">
            <AlertDialog.Title className="text-lg font-bold">Reset the demo?</AlertDialog.Title>
            <AlertDialog.Description className="my-3">
              You’ll lose your changes to the Corvane Traverse demo. This can’t be undone. Your own trips aren’t
              affected. To keep the changes, export the plan first.
            </AlertDialog.Description>
            <div className="flex justify-end gap-2">
              <AlertDialog.Cancel className="btn">Cancel</AlertDialog.Cancel>
              <AlertDialog.Action className="btn btn-strong" onClick={() => void openDemo().catch(report)}>
                Reset the demo
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </>
  );
}
