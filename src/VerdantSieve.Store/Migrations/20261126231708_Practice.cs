using System;
using System.Collections.Generic;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Npgsql.EntityFrameworkCore.PostgreSQL.Metadata;

#nullable disable

namespace VerdantSieve.Store.Migrations
{
    /// <inheritdoc />
    [DbContext(typeof(SieveContext))]
    [Migration("20261126231708_Practice")]
    public class Practice : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "lists",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    owner = table.Column<string>(type: "text", nullable: false),
                    flora_id = table.Column<string>(type: "text", nullable: false),
                    title = table.Column<string>(type: "text", nullable: false),
                    note = table.Column<string>(type: "text", nullable: false),
                    kinds = table.Column<string>(type: "jsonb", nullable: false),
                    before = table.Column<string>(type: "jsonb", nullable: true),
                    is_shared = table.Column<bool>(type: "boolean", nullable: false),
                    created = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    changed = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    discarded = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_lists", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "repetitions",
                columns: table => new
                {
                    owner = table.Column<string>(type: "text", nullable: false),
                    subject = table.Column<string>(type: "text", nullable: false),
                    easiness = table.Column<double>(type: "double precision", nullable: false),
                    times = table.Column<int>(type: "integer", nullable: false),
                    days = table.Column<int>(type: "integer", nullable: false),
                    due = table.Column<DateOnly>(type: "date", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_repetitions", x => new { x.owner, x.subject });
                });

            migrationBuilder.CreateTable(
                name: "classes",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    owner = table.Column<string>(type: "text", nullable: false),
                    list_id = table.Column<string>(type: "text", nullable: false),
                    title = table.Column<string>(type: "text", nullable: false),
                    created = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    closed = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_classes", x => x.id);
                    table.ForeignKey(
                        name: "fk_classes_lists_list_id",
                        column: x => x.list_id,
                        principalTable: "lists",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateTable(
                name: "practice_sets",
                columns: table => new
                {
                    id = table.Column<string>(type: "text", nullable: false),
                    owner = table.Column<string>(type: "text", nullable: false),
                    flora_id = table.Column<string>(type: "text", nullable: false),
                    title = table.Column<string>(type: "text", nullable: false),
                    region = table.Column<string>(type: "text", nullable: true),
                    class_id = table.Column<string>(type: "text", nullable: true),
                    pool = table.Column<List<string>>(type: "text[]", nullable: false),
                    queue = table.Column<List<string>>(type: "text[]", nullable: false),
                    asked = table.Column<List<string>>(type: "text[]", nullable: false),
                    created = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    changed = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_practice_sets", x => x.id);
                    table.ForeignKey(
                        name: "fk_practice_sets_classes_class_id",
                        column: x => x.class_id,
                        principalTable: "classes",
                        principalColumn: "id",
                        onDelete: ReferentialAction.SetNull);
                });

            migrationBuilder.CreateTable(
                name: "practice_answers",
                columns: table => new
                {
                    id = table.Column<long>(type: "bigint", nullable: false)
                        .Annotation("Npgsql:ValueGenerationStrategy", NpgsqlValueGenerationStrategy.IdentityByDefaultColumn),
                    set_id = table.Column<string>(type: "text", nullable: false),
                    at = table.Column<int>(type: "integer", nullable: false),
                    line = table.Column<string>(type: "text", nullable: false),
                    said = table.Column<string>(type: "text", nullable: false),
                    right = table.Column<string>(type: "text", nullable: false),
                    is_right = table.Column<bool>(type: "boolean", nullable: false),
                    is_near = table.Column<bool>(type: "boolean", nullable: false),
                    certainty = table.Column<string>(type: "text", nullable: false),
                    asked = table.Column<List<string>>(type: "text[]", nullable: false),
                    before = table.Column<string>(type: "jsonb", nullable: true),
                    scheduled = table.Column<bool>(type: "boolean", nullable: false),
                    again = table.Column<bool>(type: "boolean", nullable: false),
                    given = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_practice_answers", x => x.id);
                    table.ForeignKey(
                        name: "fk_practice_answers_practice_sets_set_id",
                        column: x => x.set_id,
                        principalTable: "practice_sets",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_classes_list_id",
                table: "classes",
                column: "list_id");

            migrationBuilder.CreateIndex(
                name: "ix_classes_owner",
                table: "classes",
                column: "owner");

            migrationBuilder.CreateIndex(
                name: "ix_lists_owner_discarded",
                table: "lists",
                columns: new[] { "owner", "discarded" });

            migrationBuilder.CreateIndex(
                name: "ix_practice_answers_set_id_at",
                table: "practice_answers",
                columns: new[] { "set_id", "at" },
                unique: true);

            migrationBuilder.CreateIndex(
                name: "ix_practice_sets_class_id",
                table: "practice_sets",
                column: "class_id");

            migrationBuilder.CreateIndex(
                name: "ix_practice_sets_owner_changed",
                table: "practice_sets",
                columns: new[] { "owner", "changed" });

            migrationBuilder.CreateIndex(
                name: "ix_repetitions_owner_due",
                table: "repetitions",
                columns: new[] { "owner", "due" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "practice_answers");

            migrationBuilder.DropTable(
                name: "repetitions");

            migrationBuilder.DropTable(
                name: "practice_sets");

            migrationBuilder.DropTable(
                name: "classes");

            migrationBuilder.DropTable(
                name: "lists");
        }
    }
}
