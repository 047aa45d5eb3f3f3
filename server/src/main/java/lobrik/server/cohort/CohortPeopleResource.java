package lobrik.server.cohort;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import lobrik.server.account.Invitations;
import lobrik.server.account.People;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Accounts as far as they belong to cohorts: who teaches which, and those of trainees. */
@RestController
@Tag(name = "people")
class CohortPeopleResource {

    /** The cohorts of somebody, as they were seen and as they are to be. */
    record CohortsOfPerson(
            @Nullable Set<UUID> seen, @Nullable Set<UUID> cohortIds) {}

    /** The account that a trainee is to have, under an id made by the client. */
    record TraineeAccount(
            @Nullable UUID accountId, @Nullable String signInName) {}

    private final CohortStaff staff;
    private final Cohorts cohorts;
    private final People people;

    CohortPeopleResource(CohortStaff staff, Cohorts cohorts, People people) {
        this.staff = staff;
        this.cohorts = cohorts;
        this.people = people;
    }

    @Operation(summary = "All cohorts of the school, with the accounts of those who teach them or help with them")
    @Needs(Right.READ_RECORDS)
    @GetMapping("/api/cohort-staff")
    List<CohortStaff.Staffed> staff(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return staff.all(who);
    }

    @Operation(
            summary = "Say which cohorts somebody teaches or helps with",
            description = "Turned down where somebody else changed that since it was seen.")
    @Needs(Right.LEAD)
    @PutMapping("/api/people/{id}/cohorts")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void assign(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody CohortsOfPerson cohortsOf) {
        staff.assign(
                who,
                id,
                Objects.requireNonNullElse(cohortsOf.seen(), Set.of()),
                Objects.requireNonNullElse(cohortsOf.cohortIds(), Set.of()));
    }

    @Operation(
            summary = "Invite a trainee to have an account, or to choose another password",
            description = "The answer has the code, which is told once.")
    @Needs(Right.TEACH)
    @PutMapping("/api/trainees/{id}/account")
    Invitations.InvitationCode account(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody TraineeAccount account) {
        Trainee trainee = cohorts.trainee(who, id);
        if (account.accountId() == null) {
            throw TurnedDown.badInput("/accountId", "missing", "this is missing");
        }
        return people.inviteTrainee(
                who, account.accountId(), id, trainee.fullName(), Objects.requireNonNullElse(account.signInName(), ""));
    }
}
