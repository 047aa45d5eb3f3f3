package lobrik.server.attempt;

import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.swagger.v3.oas.annotations.media.DiscriminatorMapping;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lobrik.layout.MarkDatum;
import org.jspecify.annotations.Nullable;

/** What is written down of a piece besides its readings. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Fact.Finding.class, name = "finding"),
    @JsonSubTypes.Type(value = Fact.Rework.class, name = "rework"),
    @JsonSubTypes.Type(value = Fact.Waste.class, name = "waste"),
    @JsonSubTypes.Type(value = Fact.TimeTaken.class, name = "time"),
    @JsonSubTypes.Type(value = Fact.Figures.class, name = "figures"),
    @JsonSubTypes.Type(value = Fact.OwnLook.class, name = "ownLook"),
    @JsonSubTypes.Type(value = Fact.Note.class, name = "note")
})
@Schema(
        discriminatorProperty = "kind",
        discriminatorMapping = {
            @DiscriminatorMapping(value = "finding", schema = Fact.Finding.class),
            @DiscriminatorMapping(value = "rework", schema = Fact.Rework.class),
            @DiscriminatorMapping(value = "waste", schema = Fact.Waste.class),
            @DiscriminatorMapping(value = "time", schema = Fact.TimeTaken.class),
            @DiscriminatorMapping(value = "figures", schema = Fact.Figures.class),
            @DiscriminatorMapping(value = "ownLook", schema = Fact.OwnLook.class),
            @DiscriminatorMapping(value = "note", schema = Fact.Note.class)
        },
        oneOf = {
            Fact.Finding.class,
            Fact.Rework.class,
            Fact.Waste.class,
            Fact.TimeTaken.class,
            Fact.Figures.class,
            Fact.OwnLook.class,
            Fact.Note.class
        })
public sealed interface Fact {

    /** What was found when a point was looked over. */
    @Schema(name = "Finding")
    record Finding(
            @Nullable String point,
            @Nullable Result result,
            @Nullable String note) implements Fact {}

    /** How a point was found. */
    enum Result {
        @JsonProperty("good")
        GOOD,
        @JsonProperty("fault")
        FAULT,
        @JsonProperty("notLookedAt")
        NOT_LOOKED_AT
    }

    /** A bend that went back into the shoe once: eased out, or bent on. */
    @Schema(name = "Rework")
    record Rework(@Nullable Integer bend, @Nullable Change change) implements Fact {}

    /** What was done to a bend. */
    enum Change {
        @JsonProperty("eased")
        EASED,
        @JsonProperty("added")
        ADDED
    }

    /**
     * Conduit that went into the bin.
     *
     * @param lengthIn what the text comes to; the server works it out
     */
    @Schema(name = "Waste")
    record Waste(@Nullable String text, @Nullable Double lengthIn) implements Fact {}

    /** How long the piece took, when the clock of the steps is not right. */
    @Schema(name = "TimeTaken")
    record TimeTaken(@Nullable Integer minutes) implements Fact {}

    /**
     * The trainee's own figures for the marks.
     *
     * @param cut what they would cut the conduit to; null where nobody asked, or nothing is cut
     */
    @Schema(name = "Figures")
    record Figures(
            @Nullable List<OwnFigure> marks, @Nullable OwnCut cut) implements Fact {

        /** Without a cut. */
        public Figures(@Nullable List<OwnFigure> marks) {
            this(marks, null);
        }
    }

    /**
     * What a trainee would cut the conduit to.
     *
     * @param lengthIn what the text comes to; the server works it out
     */
    record OwnCut(@Nullable String text, @Nullable Double lengthIn) {}

    /**
     * One of them.
     *
     * @param mark number of the mark, from 1
     * @param positionIn where on the straight conduit the text comes to; the server works it out
     * @param from where it is measured from; the end, unless the mark may be measured from the back of a bend
     */
    record OwnFigure(
            @Nullable Integer mark,
            @Nullable String text,
            @Nullable Double positionIn,
            @Nullable MarkDatum from) {

        /** From the end of the straight conduit, or wherever it fits. */
        public OwnFigure(@Nullable Integer mark, @Nullable String text, @Nullable Double positionIn) {
            this(mark, text, positionIn, null);
        }
    }

    /** What the trainee found when looking the piece over; the newest counts, and costs nothing. */
    @Schema(name = "OwnLook")
    record OwnLook(@Nullable List<OwnLookPoint> points) implements Fact {}

    /** A point that the trainee looked at. */
    record OwnLookPoint(@Nullable String point, @Nullable Boolean good) {}

    /** Anything else. */
    @Schema(name = "Note")
    record Note(@Nullable String text) implements Fact {}

    /** The kind, as it is sent and stored. */
    default String kind() {
        return switch (this) {
            case Finding _ -> "finding";
            case Rework _ -> "rework";
            case Waste _ -> "waste";
            case TimeTaken _ -> "time";
            case Figures _ -> "figures";
            case OwnLook _ -> "ownLook";
            case Note _ -> "note";
        };
    }

    /** What it is about, among facts of its kind: those about the same thing replace or contradict each other. */
    default String about() {
        return switch (this) {
            case Finding finding -> String.valueOf(finding.point());
            case Rework rework -> String.valueOf(rework.bend());
            case Waste _, TimeTaken _, Figures _, OwnLook _, Note _ -> "";
        };
    }
}
