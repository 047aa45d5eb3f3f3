package lobrik.server.exercise;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import lobrik.bend.BendKind;
import lobrik.progress.Family;
import lobrik.server.shed.Rack;
import lobrik.server.shed.ToleranceFigures;
import lobrik.wire.LayoutRequest;
import lobrik.wire.VariationInput;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One version of an exercise, or a variant of one. It does not change once it was given. */
@Entity
public class Exercise {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID entryId;
    private int version;
    private @Nullable UUID variantOf;
    private String title;
    private String kind;
    private String level;

    @JdbcTypeCode(SqlTypes.ARRAY)
    @Column(columnDefinition = "text[]")
    private List<String> tags;

    private String conduitLabel;
    private String benderLabel;
    private @Nullable UUID benderRevisionId;

    @JdbcTypeCode(SqlTypes.JSON)
    private LayoutRequest definition;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable Entered entered;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToleranceFigures tolerances;

    private String readings;
    private boolean methodFree;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable VariationInput variation;

    private UUID createdBy;
    private Instant createdAt;

    @SuppressWarnings("NullAway.Init")
    protected Exercise() {}

    /**
     * A version of a library entry.
     *
     * @param benderRevisionId of the bender that it is for; null where it came from another school
     */
    @SuppressWarnings("NullAway.Init") // What it says is written by the method that also edits it.
    public Exercise(
            UUID id,
            UUID centreId,
            UUID entryId,
            int version,
            Content content,
            @Nullable UUID benderRevisionId,
            UUID createdBy,
            Instant createdAt) {
        this.id = id;
        this.centreId = centreId;
        this.entryId = entryId;
        this.version = version;
        this.benderRevisionId = benderRevisionId;
        this.createdBy = createdBy;
        this.createdAt = createdAt;
        say(content);
    }

    /** The same version with other sizes, for one trainee. */
    public Exercise variant(UUID newId, LayoutRequest varied, UUID by, Instant at) {
        Exercise variant =
                new Exercise(newId, centreId, entryId, version, content().varied(varied), benderRevisionId, by, at);
        variant.variantOf = id;
        return variant;
    }

    /** The same on a bender that somebody has in its place, for them. */
    public Exercise on(UUID newId, Rack.Racked bender, LayoutRequest definition, UUID by, Instant at) {
        Exercise own = new Exercise(
                newId,
                centreId,
                entryId,
                version,
                content().on(bender.bender().label(), definition),
                bender.revision().id(),
                by,
                at);
        own.variantOf = id;
        return own;
    }

    private void say(Content content) {
        this.title = content.title();
        this.kind = content.kind();
        this.level = content.level().id();
        this.tags = content.tags();
        this.conduitLabel = content.conduitLabel();
        this.benderLabel = content.benderLabel();
        this.definition = content.definition();
        this.entered = content.entered();
        this.tolerances = content.tolerances();
        this.readings = content.readings().id();
        this.methodFree = content.methodFree();
        this.variation = content.variation();
    }

    /** What it says. */
    public Content content() {
        return new Content(
                title,
                Level.valueOf(level.toUpperCase(Locale.ROOT)),
                List.copyOf(tags),
                conduitLabel,
                benderLabel,
                definition,
                entered,
                tolerances,
                readings(),
                methodFree,
                variation);
    }

    public UUID id() {
        return id;
    }

    public UUID centreId() {
        return centreId;
    }

    public UUID entryId() {
        return entryId;
    }

    public int version() {
        return version;
    }

    UUID createdBy() {
        return createdBy;
    }

    public Instant createdAt() {
        return createdAt;
    }

    public String kind() {
        return kind;
    }

    /** What bending it is practice in. */
    public Family family() {
        return new Family(BendKind.withId(kind).orElseThrow(), definition.sortOfTool());
    }

    public String title() {
        return title;
    }

    public String conduitLabel() {
        return conduitLabel;
    }

    public String benderLabel() {
        return benderLabel;
    }

    /** Of the bender that it is for; null where it came from another school. */
    public @Nullable UUID benderRevisionId() {
        return benderRevisionId;
    }

    public LayoutRequest definition() {
        return definition;
    }

    public ToleranceFigures tolerances() {
        return tolerances;
    }

    /** Whether it is left to the trainee how the marks are found: then they are not judged. */
    public boolean isMethodFree() {
        return methodFree;
    }

    public ReadingsAsked readings() {
        return ReadingsAsked.withId(readings);
    }
}
