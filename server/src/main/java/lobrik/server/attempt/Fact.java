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
    @JsonSubTypes.Type(value = Fact.Stage.class, name = "stage"),
    @JsonSubTypes.Type(value = Fact.Floor.class, name = "floor"),
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
            @DiscriminatorMapping(value = "stage", schema = Fact.Stage.class),
            @DiscriminatorMapping(value = "floor", schema = Fact.Floor.class),
            @DiscriminatorMapping(value = "waste", schema = Fact.Waste.class),
            @DiscriminatorMapping(value = "time", schema = Fact.TimeTaken.class),
            @DiscriminatorMapping(value = "figures", schema = Fact.Figures.class),
            @DiscriminatorMapping(value = "ownLook", schema = Fact.OwnLook.class),
            @DiscriminatorMapping(value = "note", schema = Fact.Note.class)
        },
        oneOf = {
            Fact.Finding.class,
            Fact.Rework.class,
            Fact.Stage.class,
            Fact.Floor.class,
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

    /**
     * The piece was bent on or eased after it was measured, and is measured again: what was read stays as it was first bent.
     *
     * @param number 2 after the first time; the server knows it where it is left out
     * @param bends what was done to which
     */
    @Schema(name = "Stage")
    record Stage(@Nullable Integer number, @Nullable List<Rebent> bends) implements Fact {}

    /** A bend, and what was done to it. */
    record Rebent(@Nullable Integer bend, @Nullable Change change) {}

    /**
     * What the level reads on the floor, or on the leg that lies on it.
     *
     * @param deg what the text comes to; the server works it out
     * @param bench whether it holds for whoever is measured at this bench later today
     */
    @Schema(name = "Floor")
    record Floor(
            @Nullable String text,
            @Nullable Double deg,
            @Nullable Boolean bench) implements Fact {}

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
            case Stage _ -> "stage";
            case Floor _ -> "floor";
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
            case Stage stage -> String.valueOf(stage.number());
            case Floor _, Waste _, TimeTaken _, Figures _, OwnLook _, Note _ -> "";
        };
    }
}
