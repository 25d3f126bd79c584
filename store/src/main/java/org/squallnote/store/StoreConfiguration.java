package org.squallnote.store;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.flywaydb.core.api.migration.JavaMigration;
import org.mybatis.spring.annotation.MapperScan;
import org.mybatis.spring.boot.autoconfigure.ConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.squallnote.core.access.Scopes;
import org.squallnote.core.event.Subjects;
import org.squallnote.core.event.Topics;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FacetFilter;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.Waiting;
import org.squallnote.core.history.HistoryEntry;
import org.squallnote.core.intake.IntakeRow;
import org.squallnote.core.invitation.Scheduling;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Recipients;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.Texts;
import org.squallnote.core.message.ThreadingRow;
import org.squallnote.core.people.Phones;
import org.squallnote.core.people.Talk;
import org.squallnote.core.recipe.Conditions;
import org.squallnote.core.recipe.RecipeCandidate;
import org.squallnote.core.recipe.Steps;
import org.squallnote.core.repetition.Occurrence;
import org.squallnote.core.repetition.Repetition;
import org.squallnote.core.search.Filter;
import org.squallnote.core.settings.AccountSettings;
import org.squallnote.core.thread.Awaiting;
import org.squallnote.core.thread.Debts;
import org.squallnote.core.todo.Todo;
import org.squallnote.core.turn.Facts;
import org.squallnote.store.migration.DecomposeBaseSubjects;
import org.squallnote.store.migration.MendMailIdentities;
import org.squallnote.store.migration.TellPeopleApart;
import org.squallnote.store.search.SearchMarks;
import org.squallnote.store.type.StoreTypes;

/** Makes the stores of this module beans. */
@Configuration(proxyBeanMethods = false)
@MapperScan(basePackageClasses = StoreConfiguration.class, annotationClass = Mapper.class)
public class StoreConfiguration {

    /** Mends what earlier versions stored wrongly. */
    @Bean
    public JavaMigration mendMailIdentities() {
        return new MendMailIdentities();
    }

    /** Stores subjects as they are compared now. */
    @Bean
    public JavaMigration decomposeBaseSubjects() {
        return new DecomposeBaseSubjects();
    }

    /** Keeps what was said of people each for itself. */
    @Bean
    public JavaMigration tellPeopleApart() {
        return new TellPeopleApart();
    }

    /** What changes is marked for the index. */
    @Bean
    public SearchMarks searchMarks() {
        return new SearchMarks();
    }

    /** The mapping of types and names. */
    @Bean
    public ConfigurationCustomizer storeTypes() {
        return configuration -> {
            StoreTypes.register(
                    configuration,
                    List.of(
                            Recipients.class,
                            Files.class,
                            Parties.class,
                            Texts.class,
                            Debts.class,
                            Awaiting.class,
                            Checklist.class,
                            Waiting.class,
                            Conditions.class,
                            Steps.class,
                            Facts.class,
                            AccountSettings.class,
                            Repetition.class,
                            Occurrence.class,
                            Content.class,
                            Scheduling.class,
                            Todo.class,
                            Filter.class,
                            Talk.class,
                            Phones.class,
                            FacetFilter.class,
                            Scopes.class,
                            Topics.class,
                            Subjects.class));
            StoreTypes.registerRows(
                    configuration,
                    List.of(
                            StoredMessage.class,
                            IntakeRow.class,
                            ThreadingRow.class,
                            FollowUp.class,
                            RecipeCandidate.class,
                            FollowUpLink.class,
                            HistoryEntry.class));
        };
    }
}
