package lobrik.server.retention;

/** Kinds of data that a school may keep for a while only. */
enum DataKind {
    /** Photographs of pieces, from when they were taken in. */
    PHOTOS("photographs"),
    /** Who was at a session, sat where, or said that they would not be there; from the day of it. */
    PRESENCE("attendance and absences"),
    /** Everything that leads to a person who left; what their pieces came to stays, by month and without a name. */
    PEOPLE_LEFT("people who left"),
    /** What everybody read for a study of the measurers, from when it was closed; what was taken from it stays. */
    STUDIES("readings for studies");

    private final String words;

    DataKind(String words) {
        this.words = words;
    }

    String words() {
        return words;
    }
}
