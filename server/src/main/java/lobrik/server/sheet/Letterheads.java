package lobrik.server.sheet;

import lobrik.server.cohort.School;

/** What stands of the school at the foot of a sheet: its picture, its name, and what of the local code is to be minded. */
final class Letterheads {

    private static final float LEFT = 36;
    private static final float FOOT = 9;
    private static final float HEIGHT = 15;
    private static final float PICTURE = 60;

    private Letterheads() {}

    static void draw(Canvas canvas, Paper paper, School.Letterhead school) {
        float x = LEFT;
        byte[] logo = school.logo();
        if (logo != null) {
            canvas.picture(logo, x, FOOT, PICTURE, HEIGHT);
            x += PICTURE + 6;
        }
        String notes = school.codeNotes().replaceAll("\\s+", " ");
        String words = notes.isEmpty() ? school.name() : school.name() + "  ·  " + notes;
        canvas.fitted(Typeface.TEXT, 7.5f, x, FOOT + 4, paper.width() - LEFT - x, words);
    }
}
