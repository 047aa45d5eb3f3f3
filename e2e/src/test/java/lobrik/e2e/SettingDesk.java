package lobrik.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;

/** What is pressed and looked at on the setting desk. */
final class SettingDesk {

    private SettingDesk() {}

    static Page desk(School.Room room, List<String> errors) {
        Page page = room.signedInAt("/set", "dessa", errors);
        page.getByLabel("Ring 1 at").waitFor();
        return page;
    }

    static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator onDrawing(Page page, String label) {
        return page.getByTestId("elevation")
                .getByRole(
                        AriaRole.TEXTBOX,
                        new Locator.GetByRoleOptions().setName(label).setExact(true));
    }

    static void show(Page page, String side) {
        page.getByText(side, new Page.GetByTextOptions().setExact(true)).click();
    }

    static Locator strip(Page page, String ring) {
        return page.getByTestId("strip").getByLabel(ring);
    }
}
